<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;

/** Writes the pages that the web server shows by itself, so that they look like the rest. */
final class MishapsCommand extends Command
{
    protected $signature = 'burrow:mishaps';

    protected $description = 'Writes the error pages of the web server';

    /** status => what happened, and what to do */
    private const PAGES = [
        400 => ['Not understood', 'The browser sent something that cannot be read. Go back and try once more.'],
        404 => ['Not here', 'There is no such page. It may have been dropped, or the address was mistyped.'],
        405 => ['Not that way', 'This page is not asked in that way. Go back and use the button on the page.'],
        408 => ['Too slow', 'The browser did not send all of it in time. Try once more.'],
        411 => ['Not understood', 'The browser did not say how much it sends. Go back and try once more.'],
        413 => ['Too large', 'What was sent is larger than 6 MB. Paste only the part about this network.'],
        414 => [
            'Too long an address',
            'The address of this page is too long. Open the page anew and choose again.',
        ],
        421 => [
            'Another name',
            'This copy does not answer to that name. Names are added when it is started: BURROW_HOSTS=NAME ./burrow up.',
        ],
        431 => [
            'Too much in the head',
            'The browser sent too many or too long headers. Delete the cookies of this page and try again.',
        ],
        494 => [
            'Too much in the head',
            'The browser sent too many or too long headers. Delete the cookies of this page and try again.',
        ],
        495 => ['Not trusted', 'The certificate of the browser was not accepted.'],
        497 => ['Not encrypted', 'This port wants an encrypted connection: begin the address with https.'],
        500 => [
            'Something broke here',
            'It was written into the log, and nothing of what was kept is lost. Try again.',
        ],
        501 => ['Not that way', 'This page is not asked in that way. Go back and use the button on the page.'],
        502 => [
            'Just starting',
            'The application behind the web server does not answer. It is started again by itself; try again in half a minute, or: ./burrow up.',
        ],
        503 => ['Too busy', 'There is more to do than this machine can do at once. Try again in a minute.'],
        504 => [
            'It took too long',
            'The answer took longer than half a minute and was given up. Nothing of what was kept is lost.',
        ],
        505 => ['Not understood', 'The browser speaks a version that is not known here.'],
    ];

    public function handle(): int
    {
        $folder = (getenv('BURROW_VAR') ?: base_path('var')).'/mishap';
        if (! is_dir($folder)) {
            mkdir($folder, 0755, true);
        }
        foreach (self::PAGES as $status => [$title, $words]) {
            $html = view('errors.plain', ['title' => $title, 'words' => $words])->render();
            if (file_put_contents("{$folder}/{$status}.html.new", $html) !== strlen($html)) {
                $this->error('The error pages could not be written. Is the disk full?');

                return 1;
            }
            rename("{$folder}/{$status}.html.new", "{$folder}/{$status}.html");
        }

        return 0;
    }
}
