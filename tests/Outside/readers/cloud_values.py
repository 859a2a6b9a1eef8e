"""What cloud-init's own schema and its way of running commands make of user-data: for each text {"schema": [keys], "commands": it runs them}."""
import json
import logging
import os
import sys

import jsonschema
import yaml
from cloudinit import config, util

logging.disable(logging.CRITICAL)
with open(os.path.join(os.path.dirname(config.__file__), "schemas", "schema-cloud-config-v1.json")) as file:
    validator = jsonschema.Draft4Validator(json.load(file))


def runs(commands):
    try:
        util.shellify(commands)
        return True
    except Exception:
        return False


answers = []
for text in json.load(sys.stdin):
    data = yaml.safe_load(text)
    answers.append({
        "schema": sorted({str(error.path[0]) for error in validator.iter_errors(data) if error.path}),
        "commands": all(runs(data[key]) for key in ("runcmd", "bootcmd") if key in data),
    })
print(json.dumps(answers))
