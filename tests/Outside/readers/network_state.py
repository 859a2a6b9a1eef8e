"""The links that cloud-init makes of network-config files, and whether each gets an address: a JSON list of texts in, a list of maps out."""
import json
import logging
import sys

from cloudinit import safeyaml
from cloudinit.net.network_state import parse_net_config_data

logging.disable(logging.CRITICAL)


def links(text):
    config = safeyaml.load(text)
    state = parse_net_config_data(config.get("network", config))
    return {
        link["name"]: any(
            subnet.get("address") or "dhcp" in subnet.get("type", "") for subnet in link.get("subnets", [])
        )
        for link in state.iter_interfaces()
    }


print(json.dumps([links(text) for text in json.load(sys.stdin)]))
