"""Mutated network-config files and what netplan's own library says of them, as JSON: a text, and the line it refuses or null."""
import copy
import importlib.util
import json
import os
import random
import re
import sys
import tempfile

import yaml

PATH = "/usr/share/netplan/netplan/libnetplan.py"
spec = importlib.util.spec_from_file_location("libnetplan", PATH)
libnetplan = importlib.util.module_from_spec(spec)
spec.loader.exec_module(libnetplan)

BASES = [
'''
network:
  version: 2
  renderer: networkd
  ethernets:
    eth0:
      match: {macaddress: "02:4b:1e:77:00:0a"}
      set-name: eth0
      addresses: [172.22.8.20/24, "fd00::20/64"]
      routes:
        - to: default
          via: 172.22.8.1
          metric: 100
      nameservers:
        addresses: [172.22.8.1, "fd00::1"]
        search: [thistledown.home.arpa]
      mtu: 1500
      optional: true
''','''
network:
  version: 2
  wifis:
    wlan0:
      dhcp4: true
      optional: true
      regulatory-domain: "GB"
      dhcp4-overrides:
        route-metric: 600
        use-dns: false
      access-points:
        "Thistledown":
          password: "8c6a527e7dc1152cd58434b3b38cfada11744b9cc8117e26c4fc555f4713968f"
        "Thistledown reading room":
          hidden: true
          band: 5GHz
          auth:
            key-management: psk
            password: "seed drawer open"
''','''
network:
  version: 2
  ethernets:
    eth0:
      dhcp4: false
    eth1:
      dhcp4: false
      wakeonlan: true
  bridges:
    br0:
      interfaces: [eth0]
      dhcp4: true
      macaddress: "02:4b:1e:77:00:0b"
      parameters:
        stp: false
        forward-delay: 4
  vlans:
    guest:
      id: 20
      link: eth1
      addresses: [172.22.20.2/24]
  bonds:
    bond0:
      interfaces: [eth1]
      accept-ra: no
      parameters:
        mode: active-backup
        mii-monitor-interval: 100
        primary: eth1
''','''
network:
  version: 2
  ethernets:
    all:
      match:
        name: "e*"
      dhcp4: true
      dhcp6: yes
      link-local: [ipv6]
      optional-addresses: [dhcp4]
      routing-policy:
        - from: 172.22.8.20
          table: 101
          priority: 7
      routes:
        - to: 172.22.9.0/24
          via: 172.22.8.3
          on-link: true
          table: 101
'''
]
DOCUMENTS = [yaml.safe_load(text) for text in BASES]
KEYS = sorted(
    {key for text in BASES for key in re.findall(r"([a-z0-9-]+):", text)}
    | set("gateway4 gateway6 access-points password ssid dns netmask gateway address static type name".split())
    | set("interfaces id link auth activation-mode critical bssid mode channel".split())
)
VALUES = [
    None, True, False, "", 0, 7, -3, 2.5, "yes", "off", "maybe", "auto", "static", "172.22.8.7", "172.22.8.7/24", "172.22.8.300",
    "fd00::7", "fd00::7/64", "default", "GB", [], ["172.22.8.1"], ["eth0"], [1, 2], {}, {"a": 1}, {"dhcp4": True},
    [{"to": "default", "via": "172.22.8.1"}], "eth0", "eth9", "02:4b:1e:77:00:0c", [None], "psk", "1500", "15OO", "0x10",
]
WAYS = "typo otherkey value value wrap unwrap delete hoist sink add spill nest".split()


def refused(text):
    """The line at which the library refuses a text; None when it takes it. In a process of its own, for some texts crash it."""
    reading, writing = os.pipe()
    child = os.fork()
    if child == 0:
        os.dup2(os.open(os.devnull, os.O_WRONLY), 2)
        os.write(writing, json.dumps(asked(text)).encode())
        os._exit(0)
    os.close(writing)
    answer = os.read(reading, 65536)
    os.close(reading)
    os.waitpid(child, 0)
    return json.loads(answer) if answer else 0


def asked(text):
    with tempfile.NamedTemporaryFile("w", suffix=".yaml") as file:
        file.write(text)
        file.flush()
        try:
            parser = libnetplan.Parser()
            parser.load_yaml(file.name)
            libnetplan.State().import_parser_results(parser)
            return None
        except libnetplan.LibNetplanException as problem:
            line = re.search(r"\.yaml:(\d+):", str(problem))
            return int(line[1]) if line else 0


def nodes(data, path=()):
    found = [(path, data)]
    for key, value in data.items() if isinstance(data, dict) else enumerate(data) if isinstance(data, list) else []:
        found += nodes(value, path + (key,))
    return found


def at(data, path):
    for key in path:
        data = data[key]
    return data


def typo(word):
    i = random.randrange(len(word))
    letter = random.choice("abcdehilnoprst-_")
    return random.choice([
        word[:i] + word[i + 1:] or "x", word[:i] + letter + word[i:], word[:i] + word[i:i + 2][::-1] + word[i + 2:],
        word.upper(), word.capitalize(), word.replace("-", "_"), word + "s",
    ])


def rename(mapping, old, new):
    items = [(new if key == old else key, value) for key, value in mapping.items()]
    mapping.clear()
    mapping.update(items)


def mutated(original):
    data = copy.deepcopy(original)
    path = random.choice([path for path, _ in nodes(data) if len(path) > 1])
    parent, key, way = at(data, path[:-1]), path[-1], random.choice(WAYS)
    below = parent[key]
    named = isinstance(parent, dict)
    if way == "typo" and named:
        rename(parent, key, typo(str(key)))
    elif way == "otherkey" and named:
        rename(parent, key, random.choice(KEYS))
    elif way == "value":
        parent[key] = copy.deepcopy(random.choice(VALUES))
    elif way == "wrap":
        parent[key] = random.choice([[below], {random.choice(KEYS): below}])
    elif way == "unwrap" and isinstance(below, (list, dict)) and below:
        parent[key] = below[0] if isinstance(below, list) else next(iter(below.values()))
    elif way == "delete":
        del parent[key]
    elif way == "hoist" and named and len(path) > 2 and isinstance(at(data, path[:-2]), dict):
        at(data, path[:-2])[key] = parent.pop(key)
    elif way == "sink" and named and [other for other in parent if other != key and isinstance(parent[other], dict)]:
        home = random.choice([other for other in parent if other != key and isinstance(parent[other], dict)])
        parent[home][key] = parent.pop(key)
    elif way == "add":
        mapping = random.choice([value for path, value in nodes(data) if isinstance(value, dict) and path])
        mapping[random.choice(KEYS)] = copy.deepcopy(random.choice(VALUES))
    elif way == "spill" and named and isinstance(below, dict):
        parent.update({**parent.pop(key), **parent})
    elif way == "nest" and not named:
        parent[key] = {str(below): None}
    else:
        return None
    return data


random.seed(int(sys.argv[1]))
texts = {}
while len(texts) < int(sys.argv[2]):
    data = mutated(random.choice(DOCUMENTS))
    if data and "network" in data:
        texts[yaml.safe_dump(data, sort_keys=False, default_flow_style=False, allow_unicode=True)] = True
print(json.dumps([{"text": text, "refused": refused(text)} for text in texts]))
