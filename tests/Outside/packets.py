"""Loads rule sets one by one and tries every port from every address: prints "set source port" of what got in.

usage: packets.py SERVER_NS CLIENT_NS FOLDER; needs root. The listing that nft prints of each is left beside it.
"""
import os, select, socket, subprocess, sys, ctypes

server, client, folder = sys.argv[1:4]
PORTS = [22, 80, 445, 8081, 8090]
SOURCES = ['172.22.8.20', '172.22.8.33', '172.22.8.199', '198.51.100.7']


def enter(name):
    with open(f'/run/netns/{name}') as ns:
        if ctypes.CDLL(None, use_errno=True).setns(ns.fileno(), 0) != 0:
            raise OSError('setns')


enter(server)
listeners = []
for port in PORTS:
    one = socket.socket()
    one.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    one.bind(('172.22.8.10', port))
    one.listen(50)
    one.setblocking(False)
    listeners.append(one)
for name in sorted(n for n in os.listdir(folder) if n.endswith('.nft')):
    enter(server)
    subprocess.run(['nft', 'flush', 'ruleset'], check=True)
    subprocess.run(['nft', '-f', f'{folder}/{name}'], check=True)
    with open(f'{folder}/{name[:-4]}.listed', 'w') as out:
        subprocess.run(['nft', 'list', 'ruleset'], check=True, stdout=out)
    enter(client)
    tried = {}
    for source in SOURCES:
        for port in PORTS:
            one = socket.socket()
            one.setblocking(False)
            one.bind((source, 0))
            one.connect_ex(('172.22.8.10', port))
            tried[one] = (source, port)
    waiting = set(tried)
    while waiting:
        _, done, _ = select.select([], list(waiting), [], 0.25)
        if not done:
            break
        for one in done:
            waiting.discard(one)
            if one.getsockopt(socket.SOL_SOCKET, socket.SO_ERROR) == 0:
                print(name[:-4], *tried[one])
    for one in tried:
        one.close()
    # A queue that nobody takes anything out of fills up.
    for one in listeners:
        while True:
            try:
                one.accept()[0].close()
            except BlockingIOError:
                break
