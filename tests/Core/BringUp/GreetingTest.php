<?php

declare(strict_types=1);

use Burrow\BringUp\Seen\Greeting;

// How services answer when they are greeted, by their protocols: SMB2 ([MS-SMB2] 2.2.3), ONC RPC (RFC 5531), and what
// a player and a camera say. Real services are greeted in tests/Outside.

test('a greeting is what its protocol says, byte for byte', function (): void {
    $smb = Greeting::Smb->opening();
    // A frame with its length; then a header of 64 bytes, a body of 36, two dialects.
    expect(unpack('N', $smb)[1])
        ->toBe(strlen($smb) - 4)
        ->and(strlen($smb))
        ->toBe(4 + 64 + 36 + 4)
        ->and(substr($smb, 4, 4))
        ->toBe("\xFESMB")
        ->and(unpack('v', substr($smb, 8, 2))[1])
        ->toBe(64)
        ->and(unpack('v', substr($smb, 68, 2))[1])
        ->toBe(36)
        ->and(unpack('v', substr($smb, 70, 2))[1])
        ->toBe(2)
        ->and(array_values((array) unpack('v2', substr($smb, -4))))
        ->toBe([0x0202, 0x0210])
        // The last fragment, forty bytes; call, version 2 of RPC, program 100003, version 4, procedure 0, no login.
        ->and(array_values((array) unpack('N*', Greeting::Nfs->opening())))
        ->toBe([0x80000000 | 40, 0x4B42, 0, 2, 100003, 4, 0, 0, 0, 0, 0])
        ->and(Greeting::Line->opening())
        ->toBe('')
        ->and(Greeting::Samples->opening())
        ->toBe('')
        ->and(Greeting::Playing->opening())
        ->toBe("status\nclose\n")
        ->and(Greeting::Picture->opening('/see'))
        ->toStartWith("GET /see HTTP/1.0\r\n");
});

test('an answer is whole when its protocol says so', function (
    Greeting $greeting,
    string $said,
    bool $whole,
): void {
    expect($greeting->isWhole($said))->toBe($whole);
})->with([
    [Greeting::Playing, "OK MPD 0.23\nstate: play\nOK\n", true],
    [Greeting::Playing, "OK MPD 0.23\nACK [4@0] {status} no\n", true],
    [Greeting::Playing, "OK MPD 0.23\nstate: play\n", false],
    'a picture' => [Greeting::Picture, "HTTP/1.0 200 OK\r\n\r\n\xFF\xD8\xFF", true],
    [Greeting::Picture, 'HTTP/1.0 404 No', true],
    [Greeting::Picture, 'HTTP/1.1 301 No', true],
    [Greeting::Picture, 'HTTP/1.0 200 OK', false],
    [Greeting::Smb, str_repeat('x', 12), true],
    [Greeting::Smb, str_repeat('x', 11), false],
    [Greeting::Line, "220\n", true],
    [Greeting::Line, '220', false],
]);

test('an answer fits its service, and no other', function (
    Greeting $greeting,
    string $said,
    bool $fits,
): void {
    expect($greeting->fits($said, '220 '))->toBe($fits);
})->with([
    [Greeting::Line, '220 press', true],
    [Greeting::Line, '500 press', false],
    [Greeting::Line, '', false],
    'a file service' => [Greeting::Smb, "\0\0\0\1\xFESMB", true],
    'a file service of the first kind' => [Greeting::Smb, "\0\0\0\1\xFFSMB", true],
    'a file service that says more' => [Greeting::Smb, "\0\0\0\x44\xFESMB\x40\0", true],
    'a file service without its length' => [Greeting::Smb, "\xFESMB", false],
    [Greeting::Nfs, pack('N4', 0x80000018, 0x4B42, 1, 0), true],
    [Greeting::Nfs, pack('N4', 0x80000018, 0x4B42, 1, 1), false],
    [Greeting::Nfs, pack('N4', 0x80000018, 0x4B43, 1, 0), false],
    [Greeting::Nfs, pack('N4', 0x80000018, 0x4B42, 0, 0), false],
    [Greeting::Playing, "OK MPD 0.23\nstate: play\nOK\n", true],
    [Greeting::Playing, "OK MPD 0.23\nstate: stop\nOK\n", false],
    [Greeting::Playing, "ACK\nstate: play\nOK\n", false],
    'a picture' => [Greeting::Picture, "HTTP/1.0 200 OK\r\n\r\n\xFF\xD8\xFF", true],
    [Greeting::Picture, "HTTP/1.0 200 OK\r\n\r\n<html>", false],
    'a picture that is refused' => [Greeting::Picture, "HTTP/1.0 401 No\r\n\r\n\xFF\xD8\xFF", false],
    [Greeting::Samples, 'RTL0'.str_repeat("\0", 8), true],
    [Greeting::Samples, 'RTL0'.str_repeat("\0", 7), false],
    [Greeting::Samples, 'rtl0'.str_repeat("\0", 8), false],
]);

// [MS-SMB2] 2.2.1.2 and 2.2.3: the header of 64 bytes, then a negotiation with two dialects.
test('a file share is greeted in the form that its protocol has', function (): void {
    $sent = Greeting::Smb->opening();
    $head = unpack('Nframe/a4id/vsize/vcharge/Vstatus/vcommand/vcredits/Vflags/Vnext/Pmessage', $sent);
    expect($head)->toBe([
        'frame' => strlen($sent) - 4,
        'id' => "\xFESMB",
        'size' => 64,
        'charge' => 0,
        'status' => 0,
        'command' => 0,
        'credits' => 1,
        'flags' => 0,
        'next' => 0,
        'message' => 0,
    ]);
    expect(unpack('vsize/vdialects/vsecurity/vreserved/Vcapabilities', $sent, 4 + 64))
        ->toBe(['size' => 36, 'dialects' => 2, 'security' => 1, 'reserved' => 0, 'capabilities' => 0])
        ->and(array_values(unpack('v2', $sent, 4 + 64 + 36) ?: []))
        ->toBe([0x0202, 0x0210]);
});
