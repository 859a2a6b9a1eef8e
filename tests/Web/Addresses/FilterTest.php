<?php

declare(strict_types=1);

use App\Filter\Folder;
use App\Models\FilterException;
use App\Models\FilterList;
use Illuminate\Http\UploadedFile;

// The workbench: lists and a log are brought, what each adds is worked out, names are kept answered, files are written.

/** A text as a browser sends a file. */
function sent(string $text, string $name = 'a.txt'): UploadedFile
{
    return UploadedFile::fake()->createWithContent($name, $text);
}

/** Lines of a log of dnsmasq: each name asked so often, and answered. */
function askedLog(array $times): string
{
    $lines = '';
    foreach ($times as $name => $count) {
        for ($i = 0; $i < $count; $i++) {
            $lines .= "Nov 20 21:00:00 dnsmasq[311]: query[A] {$name} from 172.22.8.20\n";
            $lines .= "Nov 20 21:00:00 dnsmasq[311]: forwarded {$name} to 203.0.113.53\n";
            $lines .= "Nov 20 21:00:00 dnsmasq[311]: reply {$name} is 203.0.113.80\n";
        }
    }

    return $lines;
}

beforeEach(function (): void {
    foreach (glob(storage_path('app/filter/*')) ?: [] as $file) {
        unlink($file);
    }
    $this->asKeeper();
});

test('lists are held against what was asked, and the one that adds most stands first', function (): void {
    $this->post('/filter/log', [
        'log_file' => sent(
            askedLog([
                'ads.example' => 40,
                'count.example' => 30,
                'shop.example' => 20,
                'plain.example' => 10,
            ]),
        ),
    ])->assertRedirect();
    foreach (
        [
            'long' => "ads.example\ncount.example\n",
            'short' => "0.0.0.0 ads.example\nno name at all here!\n",
            'strict' => "||shop.example^\n||ads.example^\n",
        ] as $name => $text
    ) {
        $this->post('/filter/lists', [
            'list_name' => $name,
            'list_because' => 'the desk asked',
            'list_file' => sent($text),
        ])->assertRedirect();
    }
    $result = (array) Folder::here()->result();
    // 100 questions: the long list refuses 70, the strict one 20 more, the short one none.
    expect($result['queries'])
        ->toBe(100)
        ->and($result['refused'])
        ->toBe(90)
        ->and(array_column($result['order'], 'name'))
        ->toBe(['long', 'strict', 'short'])
        ->and(array_map(floatval(...), array_column($result['order'], 'adds')))
        ->toBe([70.0, 20.0, 0.0])
        ->and(array_map(floatval(...), array_column($result['order'], 'alone')))
        ->toBe([70.0, 60.0, 40.0])
        ->and(array_column($result['breaks'], 'times', 'name'))
        ->toBe(['ads.example' => 40, 'count.example' => 30, 'shop.example' => 20])
        ->and(FilterList::query()->pluck('names', 'name')->all())
        ->toBe(['long' => 2, 'short' => 1, 'strict' => 2]);
    $this->get('/filter')
        ->assertOk()
        ->assertSee('90 of 100 questions would be refused, 90 %.')
        ->assertSee('the desk asked');
    $this->post('/filter/exceptions', [
        'exception' => 'Shop.Example.',
        'exception_because' => 'the shop',
    ])->assertRedirect();
    expect(Folder::here()->result()['refused'] ?? null)->toBe(70);
    $this->followingRedirects()
        ->post('/filter/why', ['why_name' => 'www.shop.example'])
        ->assertSee('shop.example is an exception')
        ->assertSee('||shop.example^');
    $this->followingRedirects()
        ->post('/filter/why', ['why_name' => 'ads.example'])
        ->assertSee('0.0.0.0 ads.example')
        ->assertSee('line 2');
});

test('the file holds the chosen lists without what is answered all the same', function (): void {
    foreach (['one' => 'ads.example', 'two' => "*.count.example\nkept.example"] as $name => $text) {
        $this->post('/filter/lists', ['list_name' => $name, 'list_file' => sent($text)]);
    }
    $this->post('/filter/exceptions', ['exception' => 'kept.example']);
    $rpz = (string) $this->get('/filter/file/rpz')->assertOk()->getContent();
    expect($rpz)->toContain('ads.example', 'count.example')->not->toContain("\nkept.example CNAME .");
    $this->post('/filter/lists/'.FilterList::query()->where('name', 'one')->value('id').'/choose');
    expect((string) $this->get('/filter/file/hosts')->getContent())->not->toContain('ads.example');
    $this->get('/filter/file/other')->assertNotFound();
    $this->post('/filter/lists/'.FilterList::query()->where('name', 'two')->value('id').'/away');
    expect(glob(storage_path('app/filter/list-*')) ?: [])
        ->toHaveCount(1)
        ->and(FilterList::query()->count())
        ->toBe(1);
    $this->post('/filter/exceptions/'.FilterException::query()->value('id').'/away');
    expect(FilterException::query()->count())->toBe(0);
});

test('what cannot be taken is said at its field, and what was typed stays', function (): void {
    $this->followingRedirects()
        ->post('/filter/lists', ['list_name' => 'a list', 'list_because' => 'the desk'])
        ->assertSee('The file is missing, empty')
        ->assertSee('value="the desk"', false);
    $this->followingRedirects()
        ->post('/filter/lists', ['list_name' => '../etc', 'list_file' => sent('ads.example')])
        ->assertSee('What is the list called?')
        ->assertSee('value="../etc"', false);
    $this->followingRedirects()->post('/filter/log', [])->assertSee('./burrow filter');
    foreach (['/filter/exceptions' => 'exception', '/filter/why' => 'why_name'] as $to => $field) {
        $this->followingRedirects()
            ->post($to, [$field => 'no such name!'])
            ->assertSee('That is no name a resolver is asked.')
            ->assertSee('value="no such name!"', false);
    }
    expect(FilterList::query()->count() + FilterException::query()->count())->toBe(0);
});

test(
    'a name is found in capitals and in its own letters, and all lists together have an end',
    function (): void {
        $this->post('/filter/lists', [
            'list_name' => 'letters',
            'list_file' => sent("ADS.Example\nbücher.example\n"),
        ]);
        $this->followingRedirects()
            ->post('/filter/why', ['why_name' => 'ads.example'])
            ->assertSee('ADS.Example');
        $this->followingRedirects()
            ->post('/filter/why', ['why_name' => 'xn--bcher-kva.example'])
            ->assertSee('line 2');
        file_put_contents(storage_path('app/filter/list-99999'), str_repeat('#', 64_000_000));
        $this->followingRedirects()
            ->post('/filter/lists', ['list_name' => 'more', 'list_file' => sent('ads.example')])
            ->assertSee('All lists together may hold 64 MB here.')
            ->assertSee('value="more"', false);
        expect(FilterList::query()->pluck('name')->all())->toBe(['letters']);
    },
);

test('a result that was cut or written by something else is none', function (string $text): void {
    file_put_contents(storage_path('app/filter/result.json'), $text);
    $this->get('/filter')->assertOk()->assertSee('Choose lists by what your house asked.');
})->with([
    'cut' => ['{"queries": 3, "ord'],
    'other' => ['{"order": [], "hours": 3}'],
    'empty' => [''],
    'of strangers' => [
        '{"queries": 1, "refused": 0, "share": 0, "smallest": [], "breaks": [], "order": [], "hours": [{"hour": "x"}]}',
    ],
]);

test('a list of anything, and a log of anything, is read to its end', function (): void {
    $noise = random_bytes(200_000);
    $this->post('/filter/lists', ['list_name' => 'noise', 'list_file' => sent($noise)])->assertRedirect();
    $this->post('/filter/log', ['log_file' => sent($noise)])->assertRedirect();
    $this->get('/filter')->assertOk()->assertSee('noise');
});

test('what was asked in the house is nothing for guests', function (): void {
    $this->asGuest()->get('/filter')->assertForbidden();
    $this->asGuest()->get('/filter/file/rpz')->assertForbidden();
});
