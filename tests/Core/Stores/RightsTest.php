<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\System\GroupFact;
use Burrow\Stores\Rights\Caller;
use Burrow\Stores\Rights\Export;
use Burrow\Stores\Rights\Folder;
use Burrow\Stores\Rights\Person;
use Burrow\Stores\Rights\Right;
use Burrow\Stores\Rights\Rights;
use Burrow\Stores\Rights\Share;

// Who may do what with a share, as we work it out, against what a file service and a kernel let them do: rights/ holds
// forty shares with rules of the kinds that people write and sixty exports, and what came of trying each.
// tests/Outside/RightsTest.php tries them again.

const GROUPS_OF_THREE = "warden:x:4001:\ndesk:x:4002:\nkiosk:x:4003:\nseeds:x:4100:warden,desk\n";

function rightsFile(string $name): string
{
    return (string) file_get_contents(__DIR__."/rights/{$name}");
}

function rightsOfThree(string $folders): Rights
{
    $groups = Intake::standard()
        ->read('groups', GROUPS_OF_THREE)
        ->all(GroupFact::class);

    return new Rights(Rights::members($groups), Folder::all($folders));
}

function yesNo(Right $right): string
{
    return ($right->reads ? 'yes' : 'no').' '.($right->writes ? 'yes' : 'no');
}

/** @return list<Caller> */
function callers(): array
{
    return Caller::all(
        <<<'ID'
        uid=0(root) gid=0(root) groups=0(root)
        uid=4001(warden) gid=4001(warden) groups=4001(warden),4100(seeds)
        uid=4002(desk) gid=4002(desk) groups=4002(desk),0(root)
        uid=4003(kiosk) gid=4003(kiosk)
        ID
        ,
    );
}

test('a share lets people do what a real file service let them do', function (): void {
    $rights = rightsOfThree(rightsFile('folders.txt'));
    $shares = array_column(Share::all(rightsFile('shares.conf')), null, 'name');
    $ours = $counts = [];
    foreach (explode("\n", trim(rightsFile('shares-asked.txt'))) as $line) {
        [$name, $share, $reads, $writes] = explode(' ', $line);
        $right = $rights->of($shares[$share], $name === 'guest' ? Person::guest() : $rights->person($name));
        $ours[] = "{$name} {$share} ".yesNo($right);
        $counts["{$reads} {$writes}"] = ($counts["{$reads} {$writes}"] ?? 0) + 1;
        expect($right->known)->toBeTrue();
    }
    expect(implode("\n", $ours)."\n")
        ->toBe(rightsFile('shares-asked.txt'))
        ->and($counts['yes yes'])
        ->toBeGreaterThan(15)
        ->and($counts['yes no'])
        ->toBeGreaterThan(15)
        ->and($counts['no no'])
        ->toBeGreaterThan(15);
});

test('an export lets numbers do what the kernel let such numbers do', function (): void {
    $folders = Folder::all(rightsFile('exported.txt'));
    $ours = [];
    foreach (Export::all(rightsFile('exports')) as $export) {
        foreach (callers() as $caller) {
            [$user, $groups] = $export->taken($caller);
            $right = $export->lets($caller, $folders, []);
            // The file service itself keeps a read-only export from being written; the kernel was asked without it.
            $ours[] =
                "{$export->path} {$caller->name} {$user} ".
                implode(',', $groups).
                ' '.
                ($export->readOnly ? ($right->reads ? 'yes' : 'no') : yesNo($right));
            expect($export->readOnly && $right->writes)->toBeFalse();
        }
    }
    $theirs = explode("\n", trim(rightsFile('exports-asked.txt')));
    expect(count($ours))->toBe(count($theirs));
    foreach ($theirs as $i => $line) {
        expect($line)->toStartWith($ours[$i]);
    }
});

test('whose a folder is that nobody listed is not known, and no right', function (): void {
    $share = Share::all("[attic]\npath = /srv/attic\nread only = no\nadmin users = warden\n")[0];
    foreach (['desk', 'warden'] as $name) {
        $right = rightsOfThree(rightsFile('folders.txt'))->of($share, rightsOfThree('')->person($name));
        expect([$right->reads, $right->writes, $right->known, $right->because])->toBe([
            false,
            false,
            false,
            'Whose /srv/attic is was not told.',
        ]);
    }
});

test('a line that goes on has its folder above it', function (): void {
    $read = fn (string $text): array => array_map(
        fn (Export $one): string => "{$one->path} {$one->client}",
        Export::all($text),
    );
    expect(
        $read(
            "  172.22.8.9(rw)\n/srv/store 172.22.8.20(rw)\n  172.22.8.21(ro) 172.22.8.22(rw)\n\n  172.22.8.23(rw)\n",
        ),
    )->toBe(['/srv/store 172.22.8.20', '/srv/store 172.22.8.21', '/srv/store 172.22.8.22']);
});

test('a share that touches files as root is stopped by no folder, and says so', function (
    string $rule,
    bool $writes,
    string $because,
): void {
    $share = Share::all("[attic]\npath = /srv/attic\nforce user = root\n{$rule}\n")[0];
    $right = rightsOfThree("d--------- warden warden /srv/attic\n")->of($share, rightsOfThree('')->person('desk'));
    expect([$right->reads, $right->writes, $right->known, $right->because])->toBe([true, $writes, true, $because]);
})->with([
    ['read only = no', true, 'Share and folder let root as root do both.'],
    ['read only = yes', false, 'The share is read-only.'],
]);
