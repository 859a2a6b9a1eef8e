<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use Burrow\Intake\Intake;
use Burrow\Intake\System\GroupFact;
use Burrow\Judgement\Findings;
use Burrow\Stores\Rights\Caller;
use Burrow\Stores\Rights\Export;
use Burrow\Stores\Rights\Folder;
use Burrow\Stores\Rights\Person;
use Burrow\Stores\Rights\Rights;
use Burrow\Stores\Rights\Share;
use Burrow\Stores\Rights\SmbLook;
use Burrow\Stores\ShareFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Who may do what with which share in the end, from what a box tells. Nothing of it is kept. */
final class RightsController
{
    /** Letters that are taken back to the page. */
    private const LONGEST = 40_000;

    private const NO_SHARE = 'No share with a path stands in this text; it wants the sections of smb.conf, or lines of '.
        'exports.';

    private const PEOPLE = 30;

    private const SHARES = 60;

    /** Groups that are of the system, and no person's. */
    private const NOT_PEOPLE = ['root', 'nobody', 'nogroup', 'daemon', 'www-data'];

    public function index(): View
    {
        $pasted = is_string(old('pasted')) ? old('pasted') : '';
        $beyond = [];
        $shares = self::first(Share::all($pasted), self::SHARES, 'shares', $beyond);
        $groups = Intake::standard()->read('groups', self::groupLines($pasted))->all(GroupFact::class);
        $rights = new Rights(Rights::members($groups), Folder::all($pasted));
        $people = self::first($this->people($shares, $groups), self::PEOPLE, 'accounts', $beyond);
        $exports = self::first(Export::all($pasted), self::SHARES, 'exports', $beyond);
        $callers = self::first(Caller::all($pasted), self::PEOPLE, 'who come', $beyond);
        $only = $beyond === [] ? [] : [ShareFindings::onlyFirst($beyond)];

        return view('stores.rights', [
            'pasted' => $pasted,
            'shares' => $shares,
            'people' => $people,
            'rights' => $rights,
            'findings' => Findings::of(...$only)->and(
                $shares === [] ? Findings::of() : SmbLook::over($pasted, $people),
            ),
            'guest' => Person::guest(),
            'exports' => $exports,
            'callers' => $callers,
            'folders' => Folder::all($pasted),
            'accounts' => Caller::accounts($pasted),
        ]);
    }

    public function read(Request $request): RedirectResponse
    {
        $pasted = $request->string('pasted')->value();
        $back = redirect()
            ->to(route('rights').'#matrix')
            ->withInput(['pasted' => mb_substr($pasted, 0, self::LONGEST)]);

        $told = match (true) {
            Share::all($pasted) === [] && Export::all($pasted) === [] => self::NO_SHARE,
            mb_strlen($pasted) > self::LONGEST => 'Only the first '.
                number_format(self::LONGEST).
                ' letters of it were read.',
            default => null,
        };

        return $told === null ? $back : $back->with('told', $told);
    }

    /**
     * Accounts that a share names, and those that are in a group it names.
     *
     * @param  list<Share>  $shares
     * @param  list<GroupFact>  $groups
     * @return list<string>
     */
    private function people(array $shares, array $groups): array
    {
        $people = $named = [];
        foreach ($shares as $share) {
            foreach (['validusers', 'invalidusers', 'readlist', 'writelist', 'adminusers'] as $key) {
                foreach ($share->list($key) as $one) {
                    $name = ltrim($one, '@+&');
                    $name === $one ? ($people[$name] = $name) : ($named[$name] = true);
                }
            }
        }
        foreach ($groups as $group) {
            // Somebody's own group, as Debian makes one for each account from 1000 on.
            if (($group->number ?? 0) >= 1000 && $group->accounts === []) {
                $people[$group->group] = $group->group;
            }
            foreach (isset($named[$group->group]) ? $group->accounts : [] as $account) {
                $people[$account] = $account;
            }
        }
        $people = array_diff_key($people, array_flip(self::NOT_PEOPLE));
        ksort($people);

        return array_values(array_filter($people, fn (string $one): bool => ! str_contains($one, '%')));
    }

    /**
     * @template T
     *
     * @param  list<T>  $all
     * @param  list<string>  $beyond  what the page has no room for, as "60 shares"
     * @return list<T>
     */
    private static function first(array $all, int $most, string $what, array &$beyond): array
    {
        count($all) > $most && ($beyond[] = "{$most} {$what}");

        return array_slice($all, 0, $most);
    }

    /** Only lines of groups, among all that was pasted. */
    private static function groupLines(string $pasted): string
    {
        preg_match_all(
            '/^[A-Za-z_][\w.-]*:[^:\s]{0,2}:\d+:[\w.,$-]*$/m',
            str_replace("\r", '', $pasted),
            $all,
        );

        return implode("\n", $all[0]);
    }
}
