"""Strokes to signs, and signs to a tree: the likeliest ways, from what a net says of every two strokes."""

from __future__ import annotations

from heapq import heappop, heappush
from itertools import count as numbers

import numpy as np
from numpy.typing import NDArray

Numbers = NDArray[np.float64]

#: Ways of parting strokes into signs that are followed, and pairs of strokes that are tried the other way.
PARTINGS, TRIED_PAIRS = 6, 5
#: Ways to name the signs, rivals of each that may be in them, and what such a rival may cost (log).
NAMES, NAME_RIVALS, NAME_RIVAL = 24, 3, 7.0
#: Trees of the signs, of many signs fewer: so many signs in all of them; and what one may cost beside the likeliest.
TREES, SIGNS_IN_ALL, TREE_RIVAL = 12, 300, 6.0
#: Trees are looked for again where two signs stood at one place, so often at most.
ROUNDS = 8


def partings(same: Numbers) -> list[tuple[list[list[int]], float]]:
    """The likeliest ways to part strokes into signs, with their log likelihoods, the best first."""
    count = len(same)
    pairs = [
        (abs(same[i, j]), i, j) for i in range(count) for j in range(i + 1, count) if abs(same[i, j]) < 3.5
    ]
    ways = [_parted(same)]
    for _, i, j in sorted(pairs)[:TRIED_PAIRS]:
        turned = same.copy()
        turned[i, j] = turned[j, i] = 50.0 if same[i, j] < 0 else -200.0
        ways.append(_parted(turned))
    found: dict[str, tuple[list[list[int]], float]] = {}
    for groups in ways:
        found.setdefault(str(groups), (groups, _parting_log(same, groups)))
    return sorted(found.values(), key=lambda way: -way[1])[:PARTINGS]


def _parted(same: Numbers) -> list[list[int]]:
    """Strokes merged while the two nearest groups are rather one sign than two."""
    groups = [[at] for at in range(len(same))]
    between = same.copy()
    np.fill_diagonal(between, -np.inf)
    while len(groups) > 1:
        at = int(between.argmax())
        one, other = divmod(at, len(groups))
        if between[one, other] <= 0:
            break
        one, other = min(one, other), max(one, other)
        sizes = len(groups[one]), len(groups[other])
        merged = (between[one] * sizes[0] + between[other] * sizes[1]) / sum(sizes)
        between[one], between[:, one] = merged, merged
        between[one, one] = -np.inf
        between = np.delete(np.delete(between, other, 0), other, 1)
        groups[one] += groups.pop(other)
    return sorted(sorted(group) for group in groups)


def _parting_log(same: Numbers, groups: list[list[int]]) -> float:
    of = np.zeros(len(same), int)
    for number, group in enumerate(groups):
        of[group] = number
    together = of[:, None] == of[None]
    logs = -np.logaddexp(0.0, np.where(together, -same, same))
    return float(np.triu(logs, 1).sum())


def between_signs(groups: list[list[int]], at_stroke: Numbers) -> Numbers:
    """(signs, signs, relations): log of how likely one stands at another, over the strokes of both."""
    made = np.full((len(groups), len(groups), at_stroke.shape[2]), -1e4)
    for child, own in enumerate(groups):
        rows = at_stroke[own]
        for parent, other in enumerate(groups):
            if parent != child:
                part = rows[:, other]
                top = part.max(axis=1, keepdims=True)
                made[child, parent] = (top[:, 0] + np.log(np.exp(part - top).sum(axis=1))).mean(axis=0)
    return made


def likeliest_tree(place: Numbers, none: Numbers) -> tuple[list[int], list[int], float]:
    """Of each sign its parent (-1 for the first) and relation, and the whole's log likelihood."""
    place = place.copy()
    for _ in range(ROUNDS):
        best, relation = place.max(axis=2), place.argmax(axis=2)
        parents = _arborescence(best, none)
        taken: dict[tuple[int, int], int] = {}
        clashes = []
        for child, parent in enumerate(parents):
            if parent < 0:
                continue
            key = parent, int(relation[child, parent])
            if key in taken:
                # Two at one place: the less likely one stands elsewhere.
                one, other = sorted(
                    (child, taken[key]), key=lambda at: best[at, parent] - _second(place[at], float(none[at]))
                )
                clashes.append((one, *key))
                taken[key] = other
            else:
                taken[key] = child
        if not clashes:
            break
        for child, parent, at in clashes:
            place[child, parent, at] = -1e4
    relations = [int(relation[child, parent]) if parent >= 0 else 0 for child, parent in enumerate(parents)]
    total = sum(
        float(best[child, parent]) if parent >= 0 else float(none[child])
        for child, parent in enumerate(parents)
    )
    return parents, relations, max(total, -1e5)


def likely_trees(place: Numbers, none: Numbers) -> list[tuple[float, list[int], list[int]]]:
    """Trees, each with its log likelihood, its parents and its relations; the likeliest first.

    From each tree others are looked for, the most promising ones first, in which one sign more stands elsewhere.
    """
    number = numbers()
    #: What another tree costs at least, a number so that no two are alike, where signs may stand, the tree that it comes
    #: from, and the sign that is to stand elsewhere.
    waiting: list[tuple[float, int, Numbers, list[int], list[int], int]] = []

    def look_from(place: Numbers, cost: float, parents: list[int], relations: list[int]) -> None:
        for child, (parent, relation) in enumerate(zip(parents, relations, strict=True)):
            if parent < 0:
                continue
            elsewhere = place[child].copy()
            elsewhere[parent, relation] = -1e4
            least = cost + float(place[child, parent, relation] - max(elsewhere.max(), none[child]))
            if least < TREE_RIVAL:
                heappush(waiting, (least, next(number), place, parents, relations, child))

    most = min(TREES, 1 + SIGNS_IN_ALL // len(none))
    parents, relations, likeliest = likeliest_tree(place, none)
    found = {(*parents, *relations): (likeliest, parents, relations)}
    look_from(place, 0.0, parents, relations)
    for _ in range(2 * most):
        if not waiting or len(found) == most:
            break
        _, _, place, parents, relations, child = heappop(waiting)
        place = place.copy()
        place[child, parents[child], relations[child]] = -1e4
        parents, relations, total = likeliest_tree(place, none)
        key = *parents, *relations
        if key not in found and likeliest - total < TREE_RIVAL:
            found[key] = total, parents, relations
            look_from(place, likeliest - total, parents, relations)
    return sorted(found.values(), reverse=True)


def likely_names(logs: Numbers) -> list[tuple[float, list[int]]]:
    """The likeliest ways to name signs, each with its log likelihood, the likeliest first; ``logs`` are (signs, classes)."""
    best = [int(name) for name in logs.argmax(axis=1)]
    likeliest = float(logs.max(axis=1).sum())
    others = sorted(
        (float(row[best[at]] - row[name]), at, int(name))
        for at, row in enumerate(logs)
        for name in np.argsort(-row)[1 : NAME_RIVALS + 1]
        if row[best[at]] - row[name] < NAME_RIVAL
    )
    found = [(likeliest, best)]
    # Some of the others by number, rising: then with the next one as well, or with it instead of the last.
    waiting: list[tuple[float, tuple[int, ...]]] = [(others[0][0], (0,))] if others else []
    while waiting and len(found) < NAMES:
        cost, chosen = heappop(waiting)
        if len({others[n][1] for n in chosen}) == len(chosen):
            names = [*best]
            for n in chosen:
                names[others[n][1]] = others[n][2]
            found.append((likeliest - cost, names))
        last = chosen[-1]
        if last + 1 < len(others):
            further = cost + others[last + 1][0]
            heappush(waiting, (further, (*chosen, last + 1)))
            heappush(waiting, (further - others[last][0], (*chosen[:-1], last + 1)))
    return found


def _second(row: Numbers, none: float) -> float:
    flat = np.partition(row.reshape(-1), -2) if row.size > 1 else row.reshape(-1)
    return max(float(flat[-2]) if flat.size > 1 else -1e4, float(none))


def _arborescence(score: Numbers, none: Numbers) -> list[int]:
    """The likeliest tree (Chu and Liu 1965, Edmonds 1967): each sign's parent, -1 for the one that has none."""
    count = len(none)
    # Only one sign begins: the root's edges are made dear, so that a second is never cheaper.
    full = np.full((count + 1, count + 1), -np.inf)
    full[1:, 1:] = score
    full[1:, 0] = none - 1e5
    np.fill_diagonal(full, -np.inf)
    return [parent - 1 for parent in _edmonds(full)[1:]]


def _edmonds(score: Numbers) -> list[int]:
    """Of each node but node 0 the parent, for the greatest sum of ``score[node, parent]``."""
    count = len(score)
    parents = [0, *(int(score[node].argmax()) for node in range(1, count))]
    cycle = _cycle(parents)
    if not cycle:
        return parents
    inside = set(cycle)
    outside = [node for node in range(count) if node not in inside]
    to = len(outside)
    small = np.full((to + 1, to + 1), -np.inf)
    small[:to, :to] = score[np.ix_(outside, outside)]
    small[:to, to] = score[np.ix_(outside, cycle)].max(axis=1)
    lost = np.array([score[node, parents[node]] for node in cycle])
    entering = score[np.ix_(cycle, outside)] - lost[:, None]
    small[to, :to] = entering.max(axis=0)
    small[0] = -np.inf
    made = _edmonds(small)
    whole = [0] * count
    for node in cycle:
        whole[node] = parents[node]
    for at, node in enumerate(outside):
        if at:
            if made[at] == to:
                whole[node] = cycle[int(score[node, cycle].argmax())]
            else:
                whole[node] = outside[made[at]]
    enter = outside[made[to]]
    entered = cycle[int((score[cycle, enter] - lost).argmax())]
    whole[entered] = enter
    return whole


def _cycle(parents: list[int]) -> list[int]:
    for start in range(1, len(parents)):
        seen, node = [], start
        while node and node not in seen:
            seen.append(node)
            node = parents[node]
        if node:
            return seen[seen.index(node) :]
    return []
