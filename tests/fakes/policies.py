"""Bundles in memory."""

from dataclasses import replace

from gentle_plumb.services.errors import AlreadyThere, NotFound, Stale


class FakePolicies:
    def __init__(self):
        self.kept = {}

    def _mine(self, practice_id, bundle_id):
        result = self.kept.get(bundle_id)
        if result is None or result.practice_id != practice_id:
            raise NotFound("There is no such bundle.")
        return result

    def _settle(self, bundle):
        others = [one for one in self.bundles(bundle.practice_id) if one.id != bundle.id]
        if any(other.name == bundle.name for other in others):
            raise AlreadyThere("A rule set with this name already exists.")
        for other in others if bundle.is_default else ():
            if other.is_default:
                self.kept[other.id] = replace(other, is_default=False, version=other.version + 1)

    def bundles(self, practice_id):
        mine = [one for one in self.kept.values() if one.practice_id == practice_id]
        return sorted(mine, key=lambda one: one.name)

    def add_bundle(self, bundle):
        self._settle(bundle)
        return self.kept.setdefault(bundle.id, bundle)

    def change_bundle(self, bundle):
        held = self._mine(bundle.practice_id, bundle.id)
        if held.version != bundle.version:
            raise Stale(held)
        self._settle(bundle)
        self.kept[bundle.id] = replace(bundle, version=held.version + 1)
        return self.kept[bundle.id]

    def drop_bundle(self, practice_id, bundle_id):
        self._mine(practice_id, bundle_id)
        del self.kept[bundle_id]
