<?php

declare(strict_types=1);

// What a person makes of what the bench shows: the answer that would be clicked. Written apart from both.

return [
    'power-light' => [
        'lit without a flicker; it goes out with the plug' => 'steady',
        'dark' => 'dark',
        'it dips now and then' => 'flickers',
        'lit even with the plug out' => 'stays',
    ],
    'activity-light' => [
        'a flash every few seconds' => 'quiet',
        'dark from the start' => 'never',
        'busy, dark, busy' => 'again',
        'four blinks, pause, four blinks' => 'code',
        'steadily lit' => 'steady',
    ],
    'link-lights' => [
        'one lit, the other twitching' => 'alive',
        'both dark' => 'dark',
        'both blink together' => 'together',
        'one lit, the other dark' => 'still',
    ],
    'touch' => [
        'lukewarm' => 'warm',
        'too hot to keep a finger there' => 'hot',
    ],
    'reseated' => [
        'as before' => 'same',
        'now it starts' => 'starts',
        'it lay the wrong way round' => 'turned',
    ],
    'unplugged' => [
        'as before' => 'same',
        'now it is well' => 'well',
    ],
    'other-supply' => [
        'as before' => 'same',
        'now it runs' => 'starts',
    ],
    'other-cable' => [
        'as before' => 'same',
        'the lights came on' => 'light',
        'now it is fast' => 'faster',
    ],
    'other-socket' => [
        'as before' => 'same',
        'the lights came on' => 'light',
    ],
    'nearer' => [
        'as before' => 'same',
    ],
    'other-card' => [
        'as before' => 'same',
        'with that one it starts' => 'starts',
    ],
    'disk-lead' => [
        'firm, and its lamp is lit' => 'fast',
        'loose at its end' => 'loose',
    ],
    'screen' => [
        'login:' => 'prompt',
        'dark' => 'nothing',
        'no carrier' => 'no-address',
        'a picture, then: nothing to start from' => 'no-start',
        'mmc0: read error, again and again' => 'errors',
        'read errors' => 'errors',
        'wlan0: no association' => 'no-address',
        '192.0.2.40/24' => 'elsewhere',
        'eth0: no such device' => 'no-address',
        'You are in emergency mode' => 'emergency',
        '10.0.0.21/24' => 'elsewhere',
    ],
    'card-read' => [
        'the card is in order' => 'fine',
        'no system on it' => 'empty',
        'an image for other boards' => 'other-image',
        'the reader sees no card' => 'unreadable',
        'files of the start are missing' => 'damaged',
        'files of the start are damaged' => 'damaged',
        'ssh.txt in place of ssh' => 'marker',
        'nothing switches remote login on' => 'no-login',
        'line ends of another system' => 'line-ends',
        'the radio has no country' => 'country',
        'an address outside of this network' => 'address',
        'an interface by a name that may change' => 'interface',
        'a disk’s line without nofail' => 'no-nofail',
    ],
    'card-test' => [
        'as large as it says' => 'whole',
        'input/output error' => 'errors',
        '7.4 of 31.9 GB came back' => 'short',
    ],
    'changed' => [
        'nothing comes to mind' => 'nothing',
        'it was carried to its place' => 'moved',
        'a new card' => 'new-card',
        'the power was pulled' => 'power-cut',
        'a new router' => 'new-network',
        'another desk computer' => 'new-desk',
        'the card was written anew' => 'new-card',
        'settings were edited' => 'settings',
        'the power was cut' => 'power-cut',
        'an installer ran' => 'installer',
        'an update ran' => 'update',
        'another board' => 'new-part',
        'it was carried to another shelf' => 'moved',
        'a new access point' => 'new-part',
    ],
    'waited' => [
        'no difference' => 'same',
        'now it is there' => 'comes',
    ],
    'since-power' => [
        'for weeks' => 'long',
    ],
    'router-list' => [
        'in the list, at its address' => 'listed',
        'not in the list' => 'absent',
        'in the list at another address' => 'other-address',
    ],
    'desk-address' => [
        '{desk}, prefix {bits}' => 'same',
        '172.22.8.104, prefix 24' => 'same',
    ],
    'guest' => [
        'both in the network of the house' => 'same',
        'the box is in the guest network' => 'guest',
    ],
    'other-client' => [
        'the same on the phone' => 'same',
        'it works on the phone' => 'works',
    ],
    'clash' => [
        'one hardware address answers' => 'one',
        'two hardware addresses take turns' => 'two',
    ],
    'dhcp' => [
        'offers come from {router} only' => 'one',
        'offers come from 172.22.8.1 only' => 'one',
        'offers from {router} and 10.0.0.138' => 'two',
        'offers from 172.22.8.1 and 10.0.0.138' => 'two',
    ],
    'try-wifi' => [
        'the phone joins' => 'joins',
        'the passphrase is refused there too' => 'refuses',
    ],
    'internet' => [
        'quick, by number and by name' => 'fast',
        'none' => 'none',
    ],
    'name' => [
        'it leads to the address on record' => 'answers',
        'no answer, neither by name nor by number' => 'nothing',
        'no answer by name, an answer by number' => 'address-only',
    ],
    'name-record' => [
        'the record is right' => 'right',
    ],
    'client-resolver' => [
        'the filter only' => 'house',
        'another one over IPv6' => 'v6',
    ],
    'filter' => [
        'it answers and refuses as it should' => 'answers',
        'SERVFAIL' => 'failing',
    ],
    'upstream' => [
        'a resolver outside' => 'outside',
    ],
    'login-says' => [
        'the prompt of the box' => 'accepted',
        'Connection timed out' => 'silent',
        'Connection refused' => 'refused',
        'REMOTE HOST IDENTIFICATION HAS CHANGED' => 'key-changed',
        'Permission denied, please try again' => 'denied',
        'You are required to change your password' => 'must-change',
    ],
    'user' => [
        'the one on record' => 'right',
        'another than on record' => 'other',
    ],
    'password' => [
        'as it was meant' => 'right',
    ],
    'desk-key' => [
        'the one on the card' => 'right',
    ],
    'page' => [
        'the page' => 'answers',
        'no answer' => 'silent',
        'another page' => 'other-page',
        'refused' => 'refused',
        '503' => 'loading',
        'it asks for a first owner' => 'wizard',
    ],
    'certificate' => [
        'nothing odd' => 'good',
        'not valid yet' => 'not-yet',
    ],
    'units' => [
        'active (running), enabled' => 'running',
        'failed' => 'failed',
        'inactive (dead), disabled' => 'not-enabled',
        'could not be found' => 'absent',
    ],
    'listening' => [
        'the service, on its port' => 'recorded',
        'nothing on its port' => 'nothing',
        'another program on its port' => 'other-program',
        'the service on another port' => 'other-port',
        'the service on 127.0.0.1' => 'loopback',
    ],
    'firewall' => [
        'no rule' => 'open',
        'policy drop, only 22 accepted' => 'drops',
    ],
    'space' => [
        '31 % used' => 'room',
        '100 % used' => 'full',
    ],
    'memory' => [
        '612 MB available' => 'enough',
    ],
    'clock' => [
        'synchronized: yes' => 'right',
        'synchronized: no, it is 1970' => 'wrong',
    ],
    'packages' => [
        '(nothing printed)' => 'whole',
        'three packages half configured' => 'half',
    ],
    'power-flags' => [
        '0x0' => 'clear',
        '0x50005' => 'low-now',
        '0x50000' => 'low-before',
        '0xe0008' => 'heat',
    ],
    'restarts' => [
        'one start, 41 days ago' => 'rarely',
        'five starts today' => 'often',
        'three starts today' => 'often',
        'two starts today' => 'often',
    ],
    'kernel-log' => [
        '(nothing of weight)' => 'quiet',
        'mmc0: error -110' => 'card-errors',
    ],
    'load' => [
        '93 % idle' => 'idle',
    ],
    'long-step' => [
        'it says: finished' => 'ended',
        'it stops in the middle of a line' => 'cut',
    ],
    'share-says' => [
        'it opens' => 'works',
        'it opens, and is empty' => 'empty',
        'wrong account or password' => 'password',
    ],
    'share-check' => [
        'nothing odd' => 'fine',
        'the account is not in the list' => 'no-password',
    ],
    'mounts' => [
        'mounted, rw' => 'there',
        'not mounted' => 'missing',
    ],
    'health' => [
        'PASSED' => 'good',
    ],
    'disk-socket' => [
        '5000M' => 'fast',
    ],
    'link-speed' => [
        '1000Mb/s' => 'gigabit',
        '100Mb/s' => 'hundred',
    ],
    'tunnel-status' => [
        'latest handshake: 40 seconds ago' => 'fresh',
        'no handshake' => 'no-handshake',
    ],
    'from' => [
        'from the phone’s own line' => 'outside',
    ],
    'forward' => [
        'UDP, both ports as on record' => 'right',
        'not there' => 'absent',
    ],
    'wan' => [
        'the same, and public' => 'same',
    ],
    'far-network' => [
        '192.0.2.0/24' => 'other',
    ],
    'passing' => [
        'net.ipv4.ip_forward = 1' => 'on',
    ],
    'packets' => [
        'both sizes pass' => 'alike',
    ],
    'keys' => [
        'each has the other’s' => 'match',
    ],
    'reach' => [
        'port 22 answers' => 'login',
        'no answer' => 'silent',
        'port 22 refuses' => 'refused',
        'another machine answers there' => 'stranger',
    ],
    'neighbours' => [
        'all answer' => 'all',
        'some are silent' => 'some',
    ],
    'complaint' => [
        'it answered before and is silent now' => 'silent-old',
        'it is new and does not show up' => 'silent-new',
        'it comes and goes' => 'comes-and-goes',
        'it is there, and the login fails' => 'no-login',
        'names fail' => 'names-fail',
        'it is there, and its page is not' => 'no-page',
        'the page warns' => 'page-warns',
        'the share refuses' => 'share-refuses',
        'it is slow' => 'slow',
        'the tunnel fails' => 'tunnel-fails',
    ],
];
