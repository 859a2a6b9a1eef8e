<?php

declare(strict_types=1);

namespace App\House;

use Illuminate\Support\Facades\Route;

/** Pages that are no place of the rail, by the words that somebody seeks them with. */
final class Rooms
{
    /** Route => what it is called, and other words for it. */
    private const ALL = [
        'plain' => ['Is it on?', 'internet gone help whom to tell off guest'],
        'then' => ['The house on a day', 'history past time slider month surface then'],
        'without' => ['What if one were off?', 'dark switch power supply depends'],
        'filter.lights-out' => ['Lights out: names and internet by hand', 'sheet paper dns emergency'],
        'tour' => ['The first ten minutes', 'tour begin bench learn'],
        'evening' => ['Several in one evening', 'timetable calendar runs'],
        'addresses.find' => ['Find a box in the network', 'lease scan sweep router list take in'],
        'addresses.known' => ['Known host keys', 'ssh fingerprint known_hosts'],
        'register' => ['The network on paper', 'register print addresses list'],
        'labels' => ['Labels for boxes, supplies, cards', 'print sticker sheet'],
        'target' => ['Image and disk', 'card write flash which disk checksum'],
        'lint' => ['Look over a card', 'linter user-data cmdline config check'],
        'media' => ['Register of cards and disks', 'serial warranty drive'],
        'backups' => ['Backups', 'copy restore drill retention'],
        'journal.measured' => ['What was measured', 'chart rate temperature start update fill readings'],
        'journal.compare' => ['Compare what was measured', 'chance permutation before after'],
        'journal.blind' => ['Listen blind', 'abx hearing test odds audio'],
        'networks' => ['Networks of the house', 'subnet prefix guests another building vlan'],
        'desks' => ['Desk computers', 'profile system reader'],
        'telling' => ['Whom the house tells', 'mail hook token calendar metrics'],
        'logins' => ['Logins and passwords', 'user role keeper guest own password'],
        'upkeep.round' => ['The round of upkeep', 'update upgrade restart order'],
        'codes' => ['All codes', 'finding formula source rule'],
    ];

    /** @return list<array{title: string, url: string, route: string}> those with all of the words in them */
    public static function called(string $sought, int $most): array
    {
        $words = array_filter(preg_split('/\s+/', mb_strtolower($sought)) ?: []);
        $found = [];
        foreach ($words === [] ? [] : self::ALL as $route => [$title, $more]) {
            $all = mb_strtolower("{$title} {$more}");
            if (array_filter($words, fn (string $word): bool => ! str_contains($all, $word)) === []) {
                $found[] = ['title' => $title, 'url' => route($route, [], false), 'route' => $route];
            }
        }

        return array_slice($found, 0, $most);
    }

    public static function isForGuests(string $route): bool
    {
        $middleware = Route::getRoutes()->getByName($route)?->gatherMiddleware() ?? [];

        return array_intersect(['shown-to-keepers', 'keeper'], $middleware) === [];
    }

    /** @return list<string> the routes, for whoever checks that they are there */
    public static function routes(): array
    {
        return array_keys(self::ALL);
    }
}
