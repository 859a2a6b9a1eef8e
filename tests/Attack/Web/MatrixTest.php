<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Token;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

// Every route by every role and method, from the list of routes itself: a new one comes in by itself.

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];

/** What anybody may ask without a login. */
/** A box's report and those who fetch feeds and figures have a token of their own in place of a login. */
const OPEN_TO_STRANGERS = ['login', 'up', 'may-send', 'report', 'feed/{token}.ics', 'metrics'];

/** @return array<string, string> a sum over every table of the database */
function tableSums(): array
{
    $sums = [];
    foreach (DB::select('SHOW TABLES') as $row) {
        $table = (string) current((array) $row);
        $sums[$table] = md5(
            (string) json_encode(
                DB::table($table)
                    ->orderBy(DB::getSchemaBuilder()->getColumnListing($table)[0])
                    ->get(),
            ),
        );
    }

    return $sums;
}

beforeEach(fn () => everythingOnce());

test('a stranger and a guest change nothing, by no route and no method', function (string $who): void {
    $before = tableSums();
    $asked = 0;
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $keeps = in_array('keeper', $route->gatherMiddleware(), true);
        foreach (METHODS as $method) {
            $who === 'guest' ? $this->asGuest() : auth()->logout();
            $answer = $this->call($method, pathOf($route), [
                'kind' => 'job',
                'name' => 'x',
                'board' => 'box-1',
                'on' => '1',
                'yaml' => 'id: x',
                'theme' => 'den',
                'version' => 1,
                'reason' => 'x',
                'password' => 'x',
            ]);
            $asked++;
            $label = "{$who} {$method} {$route->uri()}";
            expect([$label, $answer->getStatusCode() < 500])->toBe([$label, true]);
            if ($keeps && in_array($method, $route->methods(), true)) {
                expect([$label, $answer->getStatusCode()])->toBe([$label, $who === 'guest' ? 403 : 302]);
            }
            if (
                $who === 'stranger' &&
                in_array($method, $route->methods(), true) &&
                ! in_array($route->uri(), OPEN_TO_STRANGERS, true)
            ) {
                expect([
                    $label,
                    str_starts_with((string) $answer->headers->get('Location'), url('/login')),
                ])->toBe([$label, true]);
            }
        }
        if ($who === 'guest') {
            // Logging out is the one thing that a guest changes, and only for themselves.
            $this->flushSession();
        }
    }
    $after = tableSums();
    unset($before['users'], $after['users']);
    expect($after)->toBe($before)->and($asked)->toBeGreaterThan(300);
})->with(['stranger', 'guest']);

test('no route breaks for a keeper who sends nothing, or what is not there', function (): void {
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            foreach (
                [
                    pathOf($route),
                    '/'.preg_replace('/\{\w+\??\}/', '99999', $route->uri()),
                    '/'.preg_replace('/\{\w+\??\}/', '%2e%2e%2f', $route->uri()),
                ] as $path
            ) {
                DB::beginTransaction();
                $status = $this->asKeeper()->call($method, $path)->getStatusCode();
                DB::rollBack();
                expect(["{$method} {$path}", $status < 500])->toBe(["{$method} {$path}", true]);
            }
        }
    }
});

test('what looks is never changed by looking', function (): void {
    $before = tableSums();
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true)) {
            $this->asKeeper()->get(pathOf($route));
        }
    }
    expect(tableSums())->toBe($before);
});

test('every button that a guest is shown is one that a guest may press', function (): void {
    foreach (everyPage() as $page) {
        $html = (string) $this->asGuest()->get($page)->getContent();
        preg_match_all('~<form\b[^>]*method="post"[^>]*>~', $html, $forms);
        foreach ($forms[0] as $form) {
            preg_match('~action="([^"]*)"~', $form, $action);
            $refused = false;
            foreach (['POST', 'DELETE'] as $method) {
                DB::beginTransaction();
                $refused =
                    $refused ||
                    $this->asGuest()
                        ->call($method, html_entity_decode($action[1]))
                        ->getStatusCode() === 403;
                DB::rollBack();
            }
            expect([$page, $action[1], str_contains($form, 'data-keeps')])->toBe([
                $page,
                $action[1],
                $refused,
            ]);
        }
    }
});
