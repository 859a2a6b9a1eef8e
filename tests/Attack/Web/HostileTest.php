<?php

declare(strict_types=1);

use App\BringUp\RunStart;
use App\Catalogue\Catalogue;
use App\Plan\Choices;
use App\Plan\Household;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanFile;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

// What somebody might send on purpose.

/** @return list<mixed> values that have broken programs before */
function nasty(): array
{
    return [
        '',
        ' ',
        '0',
        '-1',
        '1e309',
        'NaN',
        str_repeat('a', 70000),
        "a\0b",
        "\xFF\xFE",
        "' OR 1=1 --",
        '<script>alert(1)</script>',
        '../../../etc/passwd',
        '${7*7}',
        "line\r\nSet-Cookie: x=y",
        '🌱',
        ['a'],
        ['a' => ['b' => 'c']],
    ];
}

/**
 * Every form of every page, from the pages themselves: a new one comes in by itself.
 *
 * @return array<string, array{method: string, action: string, fields: list<string>}>
 */
function everyForm(): array
{
    $forms = [];
    foreach (everyPage() as $page) {
        $html = (string) test()->asKeeper()->get($page)->getContent();
        if (! str_contains($html, '<form')) {
            continue;
        }
        $document = new DOMDocument();
        $document->loadHTML($html, LIBXML_NOERROR | LIBXML_NOWARNING);
        $find = new DOMXPath($document);
        $all = fn (string $path, ?DOMElement $in = null): array => iterator_to_array(
            $find->query($path, $in) ?: [],
            false,
        );
        foreach ($all('//form') as $form) {
            $id = $form->getAttribute('id');
            // Its own fields, and those elsewhere on the page that belong to it.
            $fields = [
                ...$all('.//*[self::input or self::select or self::textarea or self::button]', $form),
                ...$id === '' ? [] : $all("//*[@form='{$id}']"),
            ];
            $names = array_map(fn (DOMElement $field): string => $field->getAttribute('name'), $fields);
            $actions = [
                $form->getAttribute('action'),
                ...array_map(fn (DOMElement $field): string => $field->getAttribute('formaction'), $fields),
            ];
            $spoofed = $all('.//input[@name="_method"]', $form)[0] ?? null;
            $method = strtoupper($spoofed?->getAttribute('value') ?: $form->getAttribute('method') ?: 'GET');
            foreach (array_filter($actions) as $action) {
                $path = (string) preg_replace('~^https?://[^/]+~', '', $action);
                $known = $forms["{$method} {$path}"]['fields'] ?? [];
                $forms["{$method} {$path}"] = [
                    'method' => $method,
                    'action' => $path,
                    'fields' => array_values(
                        array_diff(array_unique(array_filter([...$known, ...$names])), ['_token', '_method']),
                    ),
                ];
            }
        }
    }

    return $forms;
}

test('no field of any form breaks it, whatever is sent', function (): void {
    newRun();
    newBox();
    $forms = everyForm();
    expect(count($forms))->toBeGreaterThan(30);
    foreach ($forms as $name => $form) {
        if ($form['action'] === '/logout') {
            continue;
        }
        foreach (nasty() as $value) {
            $sent = [];
            foreach ($form['fields'] as $field) {
                data_set(
                    $sent,
                    strtr($field, ['[]' => '', '][' => '.', '[' => '.', ']' => '']),
                    str_ends_with($field, '[]') ? [$value] : $value,
                );
            }
            DB::beginTransaction();
            $answer = $this->asKeeper()->call($form['method'], $form['action'], $sent);
            DB::rollBack();
            expect([
                $name,
                $answer->getStatusCode() < 500 ? '' : substr((string) $answer->exception, 0, 300),
            ])->toBe([$name, '']);
        }
    }
});

test('no page breaks, whatever its address carries', function (): void {
    $this->asKeeper();
    foreach (
        [
            '/plan',
            '/plan/plan.yaml',
            '/plan/parts.csv',
            '/plan/paper',
            '/settings/desks',
            '/find',
            '/catalogue',
            '/journal',
            '/plan/variants',
            '/boxes/1/name',
        ] as $path
    ) {
        foreach (nasty() as $value) {
            $query = http_build_query(
                array_fill_keys(
                    ['q', 'job', 'board', 'link', 'room', 'copy', 'edit', 'page', 'differences', 'name', 'address'],
                    $value,
                ),
            );
            $status = $this->get("{$path}?{$query}")->getStatusCode();
            expect([$path, $status < 500])->toBe([$path, true]);
        }
    }
});

test('no step of a run breaks, whatever is pasted', function (): void {
    $run = app(RunStart::class)->begin(newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden']));
    $this->asKeeper();
    foreach (['found', 'disk-find', 'disk-make', 'upgrade'] as $id) {
        $step = $run->steps()->where('step', $id)->firstOrFail();
        $run->steps()
            ->where('position', '<', $step->position)
            ->update(['state' => 'done']);
        foreach (nasty() as $value) {
            $version = $step->refresh()->version;
            if ($step->isFinished()) {
                $step->update(['state' => 'open']);
            }
            $status = $this->post("/runs/{$run->id}/steps/{$step->id}/".($id === 'found' ? 'check' : 'done'), [
                'version' => $version,
                'pasted' => $value,
                'typed_disk' => $value,
            ])->getStatusCode();
            expect([$id, $status])->toBe([$id, 302]);
        }
    }
});

test('every form carries its token', function (): void {
    foreach (
        ['/', '/plan', '/boxes/1', '/bench', '/catalogue', '/settings', '/upkeep', '/plan/variants'] as $page
    ) {
        $html = (string) $this->asKeeper()->get($page)->getContent();
        preg_match_all('~<form[^>]*method="post"[^>]*>(.*?)</form>~s', $html, $forms);
        foreach ($forms[1] as $inside) {
            expect($inside)->toContain('name="_token"');
        }
    }
});

test('routes that change something are not opened by a link', function (): void {
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('keeper', $route->gatherMiddleware(), true)) {
            expect(array_intersect($route->methods(), ['GET', 'HEAD']))->toBe([]);
        }
    }
});

test('the choices of a sheet survive their own address', function (): void {
    mt_srand(99);
    $catalogue = app(Catalogue::class);
    $household = app(Household::class);
    $pick = fn (string $kind): string => (string) array_rand($catalogue->entries($kind));
    for ($i = 0; $i < 60; $i++) {
        $query = [
            'job' => $pick('job'),
            'also' => mt_rand(0, 1) ? $pick('job') : 'none',
            'board' => $pick('board'),
            'supply' => $pick('supply'),
            'cable' => $pick('cable'),
            'drive' => mt_rand(0, 3) ? $pick('drive') : 'none',
            'image' => $pick('image'),
            'card' => $pick('card'),
            'case' => $pick('case'),
            'link' => ['wired', 'wireless', 'usb-wired'][mt_rand(0, 2)],
            'hub' => mt_rand(0, 1) ? 'hub-7' : 'none',
            'addon' => mt_rand(0, 1) ? $pick('addon') : 'none',
            'cooling' => mt_rand(0, 1) ? $pick('cooling') : 'none',
            'from' => ['author', 'vouched', 'stranger'][mt_rand(0, 2)],
            'on' => ['always', 'plugged-in', 'travelling'][mt_rand(0, 2)],
            'room' => (string) mt_rand(-5, 40),
            'copy' => (string) mt_rand(1, 900),
        ];
        $choices = Choices::from(Request::create('/', 'GET', $query), $catalogue, $household);
        expect(array_intersect_key($choices->toArray(), $query))
            ->toEqual($query)
            ->and(
                Choices::from(Request::create('/', 'GET', $choices->toArray()), $catalogue, $household)->toArray(),
            )
            ->toBe($choices->toArray());

        // And the YAML it writes gives the same answer.
        $file = PlanFile::read(
            PlanFile::write($choices->input()),
            Catalogue::schema('plan'),
            'plan.yaml',
            $catalogue->shelf(),
        );
        expect($file->findings->codes())
            ->toBe([])
            ->and($file->input === null ? '' : PlanAnswer::to($file->input)->sentence())
            ->toBe(PlanAnswer::to($choices->input())->sentence());
    }
});
