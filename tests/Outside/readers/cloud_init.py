"""What cloud-init itself makes of user-data files: a JSON list of texts comes in, a JSON list of answers goes out.

kind      what it takes the text for
keys      the top-level keys of a cloud-config, or null when it is ignored
accounts  name => {"keys": public keys, "password": one is set, "locked": it is locked}
"""
import copy
import json
import logging
import sys
from unittest import mock

from cloudinit import handlers, ssh_util, util
from cloudinit.config import cc_set_passwords, cc_ssh, cc_users_groups
from cloudinit.distros import debian

logging.disable(logging.CRITICAL)

# The account that a plain image knows as its default one: it has no password of its own.
DEFAULT = {"name": "standard", "lock_passwd": True, "shell": "/bin/bash"}


class Board(debian.Distro):
    def __init__(self):
        self.accounts = {}

    def account(self, name):
        return self.accounts.setdefault(name, {"keys": [], "password": False, "locked": False})

    def get_default_user(self):
        return dict(DEFAULT)

    def create_group(self, name, members=None):
        pass

    def write_sudo_rules(self, user, rules, sudo_file=None):
        pass

    def add_user(self, name, **kwargs):
        self.account(name)["password"] |= bool(kwargs.get("passwd"))

    def set_passwd(self, user, passwd, hashed=False):
        self.account(user)["password"] = True

    def lock_passwd(self, name):
        self.account(name)["locked"] = True

    def chpasswd(self, plist_in, hashed):
        # chpasswd(8) replaces the whole field, and the lock mark with it.
        for name, _password in plist_in:
            self.account(name).update(password=True, locked=False)

    def get_option(self, name, default=None):
        return default

    def manage_service(self, action, service):
        pass


def accounts(config):
    board = Board()
    cloud = mock.Mock(distro=board)
    cloud.get_public_ssh_keys.return_value = []

    def keys(these, name, options=None):
        if options is None or options == "":
            board.account(name)["keys"] += sorted(str(key) for key in these)

    with mock.patch.object(ssh_util, "setup_user_keys", keys), mock.patch.object(
        cc_set_passwords, "update_ssh_config", return_value=False
    ), mock.patch.object(cc_set_passwords.subp, "subp"), mock.patch.object(util, "write_file"), mock.patch.object(
        cc_ssh.glob, "glob", return_value=[]
    ):
        config.setdefault("users", ["default"])
        config["ssh_genkeytypes"] = []
        for module in (cc_users_groups, cc_ssh, cc_set_passwords):
            try:
                module.handle("", copy.deepcopy(config), cloud, logging.getLogger(), [])
            except Exception as trouble:  # a module that fails is logged, and the next one runs
                board.accounts.setdefault("!", {"trouble": repr(trouble)})
    board.accounts.pop("root", None)
    return board.accounts


def answer(text):
    kind = handlers.type_from_starts_with(text.encode(), "text/plain")
    if kind != "text/cloud-config":
        return {"kind": kind, "keys": None, "accounts": {}}
    config = util.load_yaml(text.encode(), default=None)
    if config is None:
        return {"kind": kind, "keys": None, "accounts": {}}
    keys = [str(key) for key in config]
    return {"kind": kind, "keys": keys, "accounts": accounts(config)}


print(json.dumps([answer(text) for text in json.load(sys.stdin)]))
