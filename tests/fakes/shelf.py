"""The shelf in memory."""

from dataclasses import replace

from gentle_plumb.services.errors import AlreadyThere, NotFound, Stale


class FakeShelf:
    def __init__(self, records):
        self.records, self.kept = records, {}

    def _mine(self, practice_id, item_id):
        result = self.kept.get(item_id)
        if result is None or result.practice_id != practice_id:
            raise NotFound("That item is no longer on the shelf.")
        return result

    def _free(self, item):
        for other in self.kept.values():
            same = (other.practice_id, other.piece, other.name)
            if other.id != item.id and same == (item.practice_id, item.piece, item.name):
                raise AlreadyThere("This name is on the shelf already.")

    def items(self, practice_id):
        users = {}
        for (visit_id, path), entry in self.records.held.items():
            if path == "look.workstation" and entry.typed:
                client = self.records.client_by_id[self.records.visit_by_id[visit_id].client_id]
                users.setdefault(entry.typed, set()).add(client.name)
        mine = [item for item in self.kept.values() if item.practice_id == practice_id]
        return [
            replace(item, users=tuple(sorted(users.get(str(item.id), ()))))
            for item in sorted(mine, key=lambda item: (item.piece, item.name))
        ]

    def add_item(self, item):
        self._free(item)
        return self.kept.setdefault(item.id, item)

    def change_item(self, item):
        held = self._mine(item.practice_id, item.id)
        if held.version != item.version:
            raise Stale(held)
        self._free(item)
        self.kept[item.id] = replace(item, piece=held.piece, version=held.version + 1)
        return self.kept[item.id]

    def drop_item(self, practice_id, item_id):
        self._mine(practice_id, item_id)
        del self.kept[item_id]
