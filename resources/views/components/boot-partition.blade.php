<details class="sheet working">
    <summary><span>How the small partition appears, and how to let go of the card</span></summary>
    <x-list :heads="['Desk computer', 'To see it', 'Before pulling the card']">
        <tr>
            <td>lists its disks with <span class="mono">lsblk</span></td>
            <td>Take the card out and put it back; it is mounted by the desktop, or: <span class="mono">udisksctl mount -b /dev/disk/by-label/bootfs</span></td>
            <td class="mono">sync; udisksctl unmount -b …; udisksctl power-off -b …</td>
        </tr>
        <tr>
            <td>lists its disks with <span class="mono">diskutil</span></td>
            <td>Take the card out and put it back; it appears as a volume on the desktop.</td>
            <td class="mono">sync; diskutil eject /dev/diskN</td>
        </tr>
        <tr>
            <td>lists its disks with <span class="mono">Get-Disk</span></td>
            <td>Take the card out and put it back; the small partition gets a letter. For the other one it offers to format a disk: cancel.</td>
            <td>“Eject” in the file manager; wait until it says that it may be removed.</td>
        </tr>
    </x-list>
    <p class="hint">Eject refused means that something still holds a file of it: close its windows and terminals, flush, wait a moment. If the card was pulled all the same, put
        it back and look the files over here.</p>
</details>
