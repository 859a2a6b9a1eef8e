"""What cloud-init's YAML loader makes of texts: a JSON list comes in; out goes a list with each text's data, or null when it is refused."""
import json
import sys

from cloudinit import safeyaml


def read(text):
    try:
        data = safeyaml.load(text)
    except Exception:
        return None
    return "empty" if data is None else data


print(json.dumps([read(text) for text in json.load(sys.stdin)], default=str, skipkeys=True))
