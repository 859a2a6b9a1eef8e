<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

use Burrow\Intake\System\GroupFact;

/**
 * Effective rights: the least of what the login, the share and the folder let somebody do (smb.conf(5);
 * path_resolution(7)). Rights of files inside, of folders above, and access control lists are not looked at.
 */
final readonly class Rights
{
    /**
     * @param  array<string, list<string>>  $members  groups with those who are in them
     * @param  array<string, Folder>  $folders  by path
     */
    public function __construct(private array $members, private array $folders)
    {
    }

    /**
     * @param  list<GroupFact>  $groups
     * @return array<string, list<string>>
     */
    public static function members(array $groups): array
    {
        $members = [];
        foreach ($groups as $group) {
            $members[$group->group] = $group->accounts;
        }

        return $members;
    }

    public function person(string $name): Person
    {
        // A group of one's own is usual on Debian (useradd(8), USERGROUPS_ENAB).
        $groups = [$name];
        foreach ($this->members as $group => $accounts) {
            in_array($name, $accounts, true) && ($groups[] = $group);
        }

        return new Person($name, array_values(array_unique($groups)));
    }

    public function of(Share $share, Person $person): Right
    {
        // "guest only" lets guests in by itself, whatever "guest ok" says.
        $guestOnly = $share->is('guestonly', false);
        if ($person->isGuest && ! $guestOnly && ! $share->is('guestok', false)) {
            return new Right(false, false, 'It lets nobody in without an account.');
        }
        if ($share->names('invalidusers', $person->name, $person->groups)) {
            return new Right(false, false, ucfirst($person->name).' stands among its invalid users.');
        }
        if (
            $share->list('validusers') !== [] &&
            ! $share->names('validusers', $person->name, $person->groups)
        ) {
            return new Right(false, false, ucfirst($person->name).' is not among its valid users.');
        }
        $readOnly = $share->is('readonly', true);
        $why = $readOnly ? 'The share is read-only.' : '';
        if ($share->names('readlist', $person->name, $person->groups)) {
            [$readOnly, $why] = [true, ucfirst($person->name).' is on its read list.'];
        }
        if ($share->names('writelist', $person->name, $person->groups)) {
            [$readOnly, $why] = [false, ''];
        }
        $folder = $this->folders[$share->path()] ?? null;
        if ($folder === null) {
            return new Right(false, false, "Whose {$share->path()} is was not told.", false);
        }
        if ($share->names('adminusers', $person->name, $person->groups)) {
            return new Right(true, ! $readOnly, $readOnly ? $why : 'As administrator: no folder stops him.');
        }
        // With "guest only" it is a guest that the folder meets; the lists of names still go by who logged in.
        [$user, $groups] = $this->effective($share, $guestOnly ? Person::guest() : $person);
        $lets =
            $user === 'root'
                ? ['reads' => true, 'writes' => true, 'as' => 'root']
                : $folder->lets($user, $groups);
        $whose = $user === $person->name ? '' : " as {$user}";

        return match (true) {
            ! $lets['reads'] => new Right(
                false,
                // To put something into a folder that cannot be listed works, where it can be entered.
                ! $readOnly && $lets['writes'],
                "The folder does not let {$lets['as']}{$whose} in: {$folder->words()}.",
            ),
            $readOnly => new Right(true, false, $why),
            ! $lets['writes'] => new Right(
                true,
                false,
                "The folder does not let {$lets['as']}{$whose} write: {$folder->words()}.",
            ),
            default => new Right(true, true, "Share and folder let {$lets['as']}{$whose} do both."),
        };
    }

    /** @return array{string, list<string>} the account and groups that files are touched with */
    private function effective(Share $share, Person $as): array
    {
        $forced = $share->text('forceuser');
        $user = $forced === '' ? $as->name : $forced;
        $groups = $forced === '' ? $as->groups : $this->person($forced)->groups;
        $group = $share->text('forcegroup');
        if ($group !== '' && ($group[0] !== '+' || in_array(ltrim($group, '+@&'), $groups, true))) {
            $groups[] = ltrim($group, '+@&');
        }

        return [$user, $groups];
    }
}
