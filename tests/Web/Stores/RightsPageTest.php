<?php

declare(strict_types=1);

// Who may do what, and several disks, as pages.

const TOLD_BY_LARDER = <<<'TEXT'
[global]
   workgroup = HOUSE
[homes]
   browseable = no
[store]
   path = /srv/store
   read only = no
   writable = no
   valid users = @seeds
   write list = warden
[kiosk]
   path = /srv/<b>show</b>
   guest ok = yes
   read only = no
root:x:0:
seeds:x:1100:warden,desk
warden:x:1000:
desk:x:1001:
kiosk:x:1002:
drwxrwx--- warden seeds /srv/store
drwxr-xr-x root root /srv/<b>show</b>
TEXT;

test(
    'what a box tells becomes a matrix, with the reason of each cell, and is looked over',
    function (): void {
        $this->asKeeper()
            ->followingRedirects()
            ->post('/stores/rights', ['pasted' => TOLD_BY_LARDER])
            ->assertSee('2 shares, 3 accounts and guests.')
            ->assertSeeInOrder([
                'store',
                'The share is read-only.',
                'Kiosk is not among its valid users.',
                'Share and folder let owner do both.',
            ])
            ->assertSee('“readonly” in line 7 and “writable” in line 8 contradict each other')
            ->assertSee('[kiosk] is called like an account')
            ->assertSee('lets anybody in the network write')
            ->assertSee('/srv/&lt;b&gt;show&lt;/b&gt;', false)
            ->assertDontSee('<b>show</b>', false);
    },
);

test('what the page has no room for is said, and so is where a text was cut', function (
    int $shares,
    int $accounts,
    int $letters,
    array $says,
    array $silent,
): void {
    $text = '';
    for ($at = 1; $at <= $shares; $at++) {
        $text .=
            "[store{$at}]\n path = /srv/{$at}\n valid users = ".
            implode(' ', array_map(fn (int $one): string => "u{$one}", range(1, $accounts))).
            "\n";
    }
    $page = $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/rights', ['pasted' => $text.str_repeat("# words\n", intdiv($letters, 8))]);
    foreach ($says as $one) {
        $page->assertSee($one);
    }
    foreach ($silent as $one) {
        $page->assertDontSee($one);
    }
})->with([
    'as many as there is room for' => [60, 3, 0, ['60 shares, 3 accounts'], ['Only the first']],
    'a share more' => [61, 3, 0, ['60 shares, 3 accounts', 'Only the first 60 shares are worked out.'], []],
    'of both too many' => [
        61,
        31,
        0,
        ['Only the first 60 shares and the first 30 accounts are worked out.'],
        [],
    ],
    'accounts, as many as there is room for' => [2, 30, 0, ['2 shares, 30 accounts'], ['Only the first']],
    'a text that is cut' => [1, 1, 41_000, ['Only the first 40,000 letters of it were read.'], []],
]);

test('who comes over the wire has room for thirty', function (int $many, bool $said): void {
    $text =
        "/srv/store 172.22.8.0/24(rw)\n".
        implode(
            '',
            array_map(
                fn (int $at): string => "uid=10{$at}(u{$at}) gid=10{$at}(u{$at}) groups=10{$at}(u{$at})\n",
                range(10, 9 + $many),
            ),
        );
    $page = $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/rights', ['pasted' => $text]);
    $page->assertSee('One export, 30 who come.');
    $said
        ? $page->assertSee('Only the first 30 who come are worked out.')
        : $page->assertDontSee('Only the first');
})->with([[30, false], [31, true]]);

test('a text without a share is told to be none, and stays', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/rights', ['pasted' => 'a kettle'])
        ->assertSee('No share with a path stands in this text')
        ->assertSee('a kettle');
});

test('arrangements of disks are compared, and sizes that are none are told', function (): void {
    $this->asGuest()
        ->get('/stores/arrays?disks=4+4+8')
        ->assertOk()
        ->assertSee('8.0 TB')
        ->assertSee('4.0 TB of larger disks unused')
        ->assertSee('wants at least 4 disks');
    foreach (['', '0', 'x', '-4', '4 4 1e9', str_repeat('4 ', 30), '<b>'] as $disks) {
        $this->get('/stores/arrays?'.http_build_query(['disks' => $disks]))
            ->assertOk()
            ->assertSee('The sizes of 1 to 24 disks in TB are missing.');
    }
    $this->get('/stores/arrays?disks=0.01&rate=0&bus=-4')->assertOk();
});

test('whether a disk rests is worked out, and a number that is none is told at its field', function (): void {
    $this->asGuest()->get('/stores/rest')->assertOk()->assertSee('-S 240')->assertSee('Let it stop after');
    $this->get('/stores/rest?asked=2000')->assertSee('Let it turn.');
    $wrong = ['asked' => '1e9', 'rated' => '', 'turning' => '-1', 'resting' => '<b>', 'years' => '99999999'];
    foreach ($wrong as $field => $typed) {
        $this->get('/stores/rest?'.http_build_query([$field => $typed]))
            ->assertOk()
            ->assertSee('is wanted.')
            ->assertSee('value="'.e($typed).'"', false);
    }
});

test('a guest does not work out who may do what', function (): void {
    $this->asGuest()->get('/stores/rights')->assertForbidden();
});
