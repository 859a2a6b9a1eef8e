<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

use Burrow\Household\HeldJob;
use Burrow\Text\ShellWord;

/**
 * How one thing on a box is brought up to date: packages by the system, containers by their image, a build from its
 * source, a ready-made image on its own page.
 */
final readonly class Route
{
    /**
     * @param  string  $command  typed on the box; empty where it is done on a page
     * @param  string  $back  the way back from it
     */
    private function __construct(
        public string $what,
        public string $text,
        public string $command,
        public string $back,
    ) {
    }

    /** What the distribution brings: asked first, so that what waits is seen. */
    public static function packages(): self
    {
        return new self(
            'packages of the system',
            'Everything that the distribution brings. What it prints is pasted below; a question about a changed file is answered with “keep”.',
            "sudo apt-get update\nsudo apt-get --yes full-upgrade",
            'A package goes back with its old version named: sudo apt-get install NAME=VERSION, as long as the index has it.',
        );
    }

    /** A restart, and nothing that is not saved. */
    public static function restart(): self
    {
        return new self(
            'a restart',
            'A new kernel or library is at work only afterwards. Nothing may be printing, recording or copying.',
            'sudo systemctl reboot',
            'None is needed.',
        );
    }

    /**
     * The route of a job beside the packages of its system; null where those are all of it.
     *
     * @param  array<string, string>  $values  what is known of it: "service", "image", "engine", "user"
     */
    public static function of(HeldJob $held, array $values): ?self
    {
        $word = fn (string $name, string $else): string => ShellWord::of($values[$name] ?? $else);
        $service = $values['service'] ?? $held->job->id;
        $engine = $word('engine', 'podman');

        return match (true) {
            $held->school === 'container' && isset($values['image']) => new self(
                "the container {$service}",
                'Its image is named with its tag. The same tag is fetched anew, and its digest before and after is printed: where both are the same there was nothing new. Another version is another tag: change it in /srv/'.
                    $service.
                    '/compose.yaml first, and read what its author says of it.',
                "sudo {$engine} image inspect --format '{{.Digest}}' {$word('image', '')}\n".
                    "sudo {$engine} pull {$word('image', '')}\n".
                    "sudo {$engine} image inspect --format '{{.Digest}}' {$word('image', '')}\n".
                    'sudo systemctl restart '.
                    ShellWord::of("box-{$service}"),
                'The digest of before in the place of the tag in its file, and the unit restarted; its data as it was copied.',
            ),
            $held->school === 'source' => new self(
                "{$held->job->label}, built from its source",
                'The source is fetched anew and built as the first time; it goes on when the session ends. Where nothing new came, nothing is built.',
                "cd ~/source\ngit rev-parse HEAD\ngit pull --ff-only\ngit log -1 --format='%h %cs %s'\n".
                    'sudo systemd-run --unit=rebuild --property=WorkingDirectory="$PWD" dpkg-buildpackage --build=binary --no-sign',
                'The package of before lies beside the source: sudo apt-get install ./FILE.deb.',
            ),
            $held->school === 'appliance' => new self(
                "{$held->job->label}, on its own page",
                'Its image brings its own updates. Make a backup there first, and download it; then its update, and leave it alone until it answers again.',
                '',
                'The backup of before, restored on its page; or its card written anew from it.',
            ),
            default => null,
        };
    }
}
