<?php

declare(strict_types=1);

use Burrow\BringUp\Step\Values;
use Burrow\Card\Target\WriteCommands;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Quantity\Bytes;
use Burrow\Text\PowerWord;

// What is typed into PowerShell at a desk, read by a grammar of PowerShell that another project keeps.

/**
 * @param  list<string>  $commands
 * @return list<list<list<string>>|string> for each the words of every command in it, or "error"
 */
function powerShell(array $commands): array
{
    $said = run(
        'node tests/Outside/readers/powershell.cjs '.
            escapeshellarg((string) realpath('var/tools/powershell')),
        json_encode($commands, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
    );
    expect($said['err'])->toBe('');

    return json_decode($said['out'], true);
}

const HOSTILE = [
    'plain',
    'two words',
    "it's",
    "''",
    'a"b',
    '$env:PATH',
    '$(Remove-Item x)',
    'a`nb',
    "line\nbreak",
    '-Force',
    '--%',
    '@splat',
    '1kb',
    '0x10',
    '12',
    'a,b',
    'a;b',
    'a|b',
    'a&b',
    '#comment',
    'a#b',
    '{block}',
    '(sub)',
    '[int]',
    '*',
    '~',
    '%',
    '>out',
    '',
    'ümläut',
    "\u{2018}curly\u{2019}",
    'C:\\a b\\c',
    '172.22.8.11',
];

// One reading of everything, since the grammar takes its time to load.
test(
    'values come out as they went in, and every command of a desk is one that PowerShell reads',
    function (): void {
        $typed = array_values(array_filter(HOSTILE, fn (string $one): bool => $one !== ''));
        $alone = array_map(fn (string $value): string => 'Get-Item '.PowerWord::of($value), HOSTILE);
        // A word that holds a value beside other text is one word.
        $beside = array_map(
            fn (string $value): ?string => (new Values(['value' => $value]))->fillForPowerShell(
                'ssh pre{{value}}@{{value}}.local -L 5900:{{value}}:5900',
            ),
            $typed,
        );
        $known = [
            'user' => 'warden',
            'old_user' => 'warden',
            'host' => 'wren',
            'old_name' => 'wren',
            'address' => '172.22.8.11',
            'new_address' => '172.22.8.12',
            'old_address' => '172.22.8.13',
            'found' => '172.22.8.101',
            'share' => "anna's files",
            'backup_file' => 'full 2026-11-27.tar',
        ];
        $commands = $ids = [];
        $steps = [...everyStep(), ...everyChange()];
        foreach ($steps as $id => $step) {
            if ($step->isTypedAtTheDesk()) {
                $filled = (new Values($known))->fillForPowerShell($step->forPowerShell());
                expect([$id, is_string($filled)])->toBe([$id, true]);
                $commands[] = $filled;
                $ids[] = $id;
            }
        }
        $read = powerShell([...$alone, ...$beside, ...$commands]);
        foreach (HOSTILE as $at => $value) {
            expect($read[$at])->toBe([['Get-Item', $value]]);
        }
        foreach ($typed as $at => $value) {
            expect($read[count($alone) + $at])->toBe([
                ['ssh', "pre{$value}@{$value}.local", '-L', "5900:{$value}:5900"],
            ]);
        }
        $read = array_slice($read, count($alone) + count($beside));
        expect(count($read))->toBeGreaterThan(20);
        foreach ($read as $at => $words) {
            expect([$ids[$at], is_array($words)])->toBe([$ids[$at], true]);
            // Tools that a desk with PowerShell does not have, and ways in which it does not call them.
            expect([$ids[$at], in_array($words[0][0], ['sha256sum', 'smb'], true)])->toBe([$ids[$at], false]);
            expect([$ids[$at], array_slice($words[0], 0, 2) === ['ping', '-c']])->toBe([$ids[$at], false]);
        }
        $all = array_merge(...$read);
        expect($all)
            ->toContain(['Get-FileHash', '-Algorithm', 'SHA256', '-LiteralPath', 'full 2026-11-27.tar'])
            ->toContain(['explorer', "\\\\172.22.8.11\\anna's files"])
            ->toContain(['ping', '-n', '3', 'wren.local']);
    },
);

test('commands that write a card are whole PowerShell, whatever the disk and the image are called', function (): void {
    $commands = $ids = [];
    foreach (['', '0x4b1e', "a'b\u{2019} c"] as $serial) {
        foreach (['plain.img', "it's one.img.xz", "\u{2018}curly\u{2019}.img.zip"] as $image) {
            $disk = new BlockDevice('2', Bytes::giga(32), null, $serial, 'usb', true, false, [], [], "USB\u{2019}S");
            foreach (WriteCommands::for(DeskSystem::GetDisk, $disk, $image) as $command) {
                // The grammar takes a block for one word: what is in it is read by itself.
                $commands[] = preg_replace('/^& \{\n(.*)\n\}$/s', '$1', $command->command);
                $ids[] = "{$serial} {$image} {$command->title}";
            }
        }
    }
    foreach (powerShell($commands) as $at => $words) {
        expect([$ids[$at], is_array($words)])->toBe([$ids[$at], true]);
        $disks = array_values(array_filter($words, fn (array $one): bool => in_array('-UniqueId', $one, true)));
        foreach ($disks as $one) {
            $value = $one[array_search('-UniqueId', $one, true) + 1];
            expect([$ids[$at], in_array($value, ["USB\u{2019}S", '$disk.UniqueId'], true)])->toBe([$ids[$at], true]);
        }
    }
});
