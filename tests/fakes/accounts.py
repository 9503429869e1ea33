"""Accounts in memory."""

from dataclasses import replace
from datetime import timedelta

from gentle_plumb.services.errors import AlreadyThere, NotFound
from gentle_plumb.services.throttle import after_try, wait_for


class FakeAccounts:
    def __init__(self):
        self.practices, self.people, self.open = {}, {}, {}
        self.gone, self.tries, self.browsers = set(), {}, {}

    def practice(self, practice_id):
        if practice_id not in self.practices:
            raise NotFound("There is no such practice.")
        return self.practices[practice_id]

    def add_practice(self, practice):
        self.practices[practice.id] = practice

    change_practice = add_practice

    def _present(self):
        return [m for m in self.people.values() if m.id not in self.gone]

    def member_by_email(self, email):
        return next((m for m in self._present() if m.email == email), None)

    def members(self, practice_id):
        mine = [m for m in self._present() if m.practice_id == practice_id]
        return sorted(mine, key=lambda m: m.name)

    def add_member(self, member):
        held = self.people.get(member.id)
        if held is not None:
            if (held.practice_id, held.email) != (member.practice_id, member.email):
                raise AlreadyThere("Somebody else has this id.")
            return held
        if self.member_by_email(member.email):
            raise AlreadyThere("This email is already in use.")
        self.people[member.id] = member
        return member

    def _mine(self, practice_id, member_id):
        if all(m.id != member_id for m in self.members(practice_id)):
            raise NotFound("There is no such member.")
        return self.people[member_id]

    def change_member(self, member):
        held = self._mine(member.practice_id, member.id)
        self.people[member.id] = replace(
            held,
            name=member.name,
            title=member.title,
            registration=member.registration,
            password_hash=member.password_hash,
            sees_health=member.sees_health,
            sealed_totp=member.sealed_totp,
            totp_last=member.totp_last,
            recovery=member.recovery,
        )
        return self.people[member.id]

    def take_code(self, member_id, step):
        held = self.people[member_id]
        if held.totp_last >= step:
            return False
        self.people[member_id] = replace(held, totp_last=step)
        return True

    def take_recovery(self, member_id, digest):
        held = self.people[member_id]
        left = tuple(one for one in held.recovery if one != digest)
        self.people[member_id] = replace(held, recovery=left)
        return left != held.recovery

    def remove_member(self, practice_id, member_id, now):
        self._mine(practice_id, member_id)
        self.gone.add(member_id)
        self.drop_sessions(member_id)

    def record_attempt(self, counted, now):
        wait = max(wait_for(one, self.tries.get(one.key), now) for one in counted)
        if wait == timedelta(0):
            self.tries |= {one.key: after_try(self.tries.get(one.key), now) for one in counted}
        return wait

    def clear_attempts(self, counted):
        for one in counted:
            tries = self.tries.pop(one.key)
            if one.free > 10:
                self.tries[one.key] = replace(tries, count=tries.count - 1)

    def knows_browser(self, token_hash, member_id, now):
        mine, until = self.browsers.get(token_hash, (None, now))
        return mine == member_id and until > now

    def remember_browser(self, token_hash, member_id, until):
        self.browsers[token_hash] = (member_id, until)

    def add_session(self, session, now):
        self.open = {hash: one for hash, one in self.open.items() if one.expires_at > now}
        self.open[session.token_hash] = session

    def sessions(self, member_id, now):
        live = [s for s in self.open.values() if s.member_id == member_id and s.expires_at > now]
        return sorted(live, key=lambda s: s.started_at, reverse=True)

    def session(self, token_hash, now):
        session = self.open.get(token_hash)
        if session is None or session.expires_at <= now or session.member_id in self.gone:
            return None
        member = self.people[session.member_id]
        return session, member, self.practices[member.practice_id]

    def mark_session(self, session_id, used_at, *, locked=None):
        for hash, one in self.open.items():
            if one.id == session_id:
                now_locked = one.locked if locked is None else locked
                self.open[hash] = replace(one, used_at=used_at, locked=now_locked)

    def left(self, member_ids):
        return self.gone & set(member_ids)

    def drop_sessions(self, member_id, *, only=None, but=None):
        self.open = {
            hash: one
            for hash, one in self.open.items()
            if one.member_id != member_id or (only is not None and one.id != only) or one.id == but
        }
        if only is None:
            self.browsers = {t: held for t, held in self.browsers.items() if held[0] != member_id}
