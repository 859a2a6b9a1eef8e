<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Card\CardFormFindings;
use App\Card\CardZip;
use App\Catalogue\Catalogue;
use Burrow\Card\AllClear;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Fixer;
use Burrow\Card\Linter;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Illuminate\Console\Command;

final class LintCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:lint {dir : the folder of a card\'s boot partition} {--image= : the image on it, by its id in the catalogue} {--started : the card has been in a board that was powered} {--fix= : write mended copies into this new folder} {--json : everything as JSON}';

    protected $description = 'Looks over a card\'s first-boot files';

    public function handle(Catalogue $catalogue): int
    {
        $dir = rtrim((string) $this->argument('dir'), '/');
        if (! is_dir($dir)) {
            $this->error("There is no folder {$dir}.");

            return 2;
        }
        $names = @scandir($dir);
        if ($names === false) {
            $this->error("{$dir} cannot be read: you may not look into it.");

            return 2;
        }
        [$files, $unseen] = $this->files($dir, $names);
        $wanted = $this->option('image');
        $image = is_string($wanted) ? $catalogue->shelf()->images[$wanted] ?? null : null;
        if (is_string($wanted) && $image === null) {
            $this->error(
                "There is no image “{$wanted}” in the catalogue. Known: ".
                    implode(', ', array_keys($catalogue->shelf()->images)).
                    '.',
            );

            return 2;
        }
        $folder = new CardFolder($files);
        $known = new CardContext($image, started: (bool) $this->option('started'));
        $findings = (new Linter())->lint($folder, $known)->and($unseen);
        $into = $this->option('fix');
        if (is_string($into) && $into !== '' && ! $this->mend($folder, $known, $into)) {
            return 2;
        }

        if ($this->option('json')) {
            return $this->json($findings, $findings->blocks() ? 1 : 0);
        }
        foreach ($findings->isEmpty() ? AllClear::words($folder, $known) : [] as $words) {
            $this->line($words);
        }

        return $this->tell($findings);
    }

    /**
     * The small files at the top of the folder. Kernels and firmware lie beside the settings and are passed over; a
     * file of
     * a known name that cannot be looked at is told.
     *
     * @param  list<string>  $names
     * @return array{array<string, string>, Findings}
     */
    private function files(string $dir, array $names): array
    {
        $files = $unseen = [];
        foreach (array_filter($names, fn (string $name): bool => is_file("{$dir}/{$name}")) as $name) {
            $size = (int) filesize("{$dir}/{$name}");
            $text = $size > CardZip::LARGEST ? false : @file_get_contents("{$dir}/{$name}");
            if ($text !== false) {
                $files[$name] = $text;
            } elseif (in_array($name, CardFolder::KNOWN, true)) {
                $unseen[] = CardFormFindings::notLookedAt($name, $size, Place::file($name));
            }
        }

        return [$files, Findings::of(...$unseen)];
    }

    /** Mended copies go into a folder of their own; nothing is written over. */
    private function mend(CardFolder $folder, CardContext $known, string $into): bool
    {
        if (file_exists($into)) {
            $this->error("{$into} is there already; mended copies go into a new folder.");

            return false;
        }
        $fixed = (new Fixer())->fix($folder, $known);
        if ($fixed->changes === []) {
            $this->line('mended: nothing; what is found is for you to decide');

            return true;
        }
        mkdir($into, 0755, true);
        foreach ($fixed->folder->files as $name => $text) {
            file_put_contents($into.'/'.basename((string) $name), $text);
        }
        foreach ($fixed->changes as $change) {
            $this->line("mended: {$change}");
        }

        return true;
    }
}
