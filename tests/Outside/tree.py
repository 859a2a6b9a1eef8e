"""tree.py FOLDER: everything that a copy must keep of a folder, one line a thing, by nothing of ours."""
import hashlib
import os
import sys

root = sys.argv[1].encode()
links = {}
for at, folders, files in os.walk(root):
    folders.sort()
    if at == root and b'lost+found' in folders:
        folders.remove(b'lost+found')
    for name in sorted(folders + files):
        path = os.path.join(at, name)
        s = os.lstat(path)
        kept = [os.path.relpath(path, root), oct(s.st_mode), s.st_uid, s.st_gid, s.st_mtime_ns]
        if os.path.islink(path):
            kept.append(os.readlink(path))
        elif os.path.isfile(path):
            kept += [s.st_size, s.st_nlink, links.setdefault(s.st_ino, len(links))]
            kept.append(hashlib.sha256(open(path, 'rb').read()).hexdigest())
            kept += [(n, os.getxattr(path, n)) for n in sorted(os.listxattr(path))]
        print(kept)
