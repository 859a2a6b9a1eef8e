"""Is there a timetable shorter by more than five per cent? For each case true, false, or null where it is not through.

All orders, depth first; what cannot be short enough any more is left, and what is nowhere better than a state that was
seen with the same steps taken.
"""
import json
import sys

NODES = 60000


def exists(lanes, cutoff):
    runs = range(len(lanes))
    things = sorted({thing for lane in lanes for step in lane for thing in step['holds']})
    length = lambda step: step['hands'] + step['wait']
    tails = [[sum(map(length, lane[at:])) for at in range(len(lane) + 1)] for lane in lanes]
    load = lambda done, thing: sum(
        length(step) for run in runs for step in lanes[run][done[run]:] if thing in step['holds'])
    hands = sum(step['hands'] for lane in lanes for step in lane)
    stack = [((0,) * len(lanes), (0,) * len(lanes), 0, hands, (0,) * len(things))]
    seen = {}
    for _ in range(NODES):
        if not stack:
            return False
        done, ready, free, left, held = stack.pop()
        if (free + left > cutoff
                or any(ready[run] + tails[run][done[run]] > cutoff for run in runs)
                or any(load(done, thing) and held[at] + load(done, thing) > cutoff for at, thing in enumerate(things))):
            continue
        if all(done[run] == len(lanes[run]) for run in runs):
            return True
        state = ready + (free,) + held
        known = seen.setdefault(done, [])
        if any(all(one <= other for one, other in zip(old, state)) for old in known):
            continue
        if len(known) < 200:
            known.append(state)
        nexts = []
        for run in runs:
            if done[run] == len(lanes[run]):
                continue
            step = lanes[run][done[run]]
            start = max([ready[run]] + ([free] if step['hands'] else [])
                        + [held[things.index(thing)] for thing in step['holds']])
            over = start + length(step)
            nexts.append((start, -tails[run][done[run]], (
                done[:run] + (done[run] + 1,) + done[run + 1:],
                ready[:run] + (over,) + ready[run + 1:],
                start + step['hands'] if step['hands'] else free,
                left - step['hands'],
                tuple(over if thing in step['holds'] else held[at] for at, thing in enumerate(things)))))
        stack.extend(one[2] for one in sorted(nexts, key=lambda one: one[:2], reverse=True))
    return None


print(json.dumps([exists(case['lanes'], case['finish'] / 1.05 - 0.001) for case in json.load(sys.stdin)]))
