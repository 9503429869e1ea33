"""Accounts in memory."""

from dataclasses import replace

from gentle_plumb.services.errors import (
    AlreadyThere,
    NotFound,
)


class FakeAccounts:
    def __init__(self):
        self.practices, self.people, self.sessions = {}, {}, {}

    def practice(self, practice_id):
        if practice_id not in self.practices:
            raise NotFound("There is no such practice.")
        return self.practices[practice_id]

    def add_practice(self, practice):
        self.practices[practice.id] = practice

    def member_by_email(self, email):
        return next((m for m in self.people.values() if m.email == email), None)

    def members(self, practice_id):
        mine = [m for m in self.people.values() if m.practice_id == practice_id]
        return sorted(mine, key=lambda m: m.name)

    def add_member(self, member):
        if self.member_by_email(member.email):
            raise AlreadyThere("Somebody with this address is there already.")
        self.people[member.id] = member

    def note_failure(self, member_id, failures, locked_until):
        self.people[member_id] = replace(
            self.people[member_id], failures=failures, locked_until=locked_until
        )

    def add_session(self, session):
        self.sessions[session.token_hash] = session

    def session(self, token_hash, now):
        session = self.sessions.get(token_hash)
        if session is None or session.expires_at <= now:
            return None
        member = self.people[session.member_id]
        return session, member, self.practices[member.practice_id]

    def drop_session(self, token_hash):
        self.sessions.pop(token_hash, None)
