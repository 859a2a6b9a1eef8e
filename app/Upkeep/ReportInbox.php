<?php

declare(strict_types=1);

namespace App\Upkeep;

use Burrow\Upkeep\Report\ReportReader;
use DateTimeImmutable;
use DateTimeZone;
use PDO;

/**
 * Where boxes send their reports to by themselves: no login, but a token of its own for each, of which only the sum is
 * kept. What comes in is laid down as it is and read in a moment, many at once; so a house of which all boxes wake up
 * in the same minute costs no page its time. It leans on nothing but the database, and public/report.php asks it
 * without the rest of the application.
 */
final readonly class ReportInbox
{
    /** Reports of one box in a minute; it sends one a day. */
    private const OFTEN = 12;

    /** Seconds for which one that was read still counts for that. */
    public const MINUTE = 60;

    /** Reports that may wait to be read. */
    private const MOST_WAITING = 5000;

    public function __construct(private PDO $database, private DateTimeImmutable $now)
    {
    }

    /**
     * Takes one in.
     *
     * @param  string  $authorization  the header of that name: "Bearer …"
     * @param  int  $length  bytes that are said to come
     * @param  callable(int): string  $body  reads no more than so many bytes of it
     * @return array{int, string} the status (RFC 9110 15), and why, in a sentence
     */
    public function post(string $authorization, int $length, callable $body): array
    {
        if (preg_match('/^Bearer ([A-Za-z0-9_-]{43})$/D', $authorization, $match) !== 1) {
            return [401, 'A token of a box is wanted.'];
        }
        $asked = $this->database->prepare(
            "SELECT id FROM boxes WHERE report_token = ? AND stage <> 'retired'",
        );
        $asked->execute([hash('sha256', $match[1])]);
        $box = $asked->fetchColumn();
        if ($box === false) {
            return [401, 'This token is none, or no longer one.'];
        }
        $text = $length > ReportReader::MOST ? '' : $body(ReportReader::MOST + 1);
        if ($length > ReportReader::MOST || strlen($text) > ReportReader::MOST) {
            return [413, 'A report has at most 256 KiB.'];
        }
        if (preg_match('/^#: made\s*$/m', $text) !== 1) {
            return [422, 'No report stands in this text.'];
        }

        return $this->lay((int) $box, mb_scrub($text, 'UTF-8'));
    }

    /**
     * Counted before and not with it: a statement that reads and writes at once would hold up whoever reads what waits.
     *
     * @return array{int, string}
     */
    private function lay(int $box, string $text): array
    {
        $now = $this->now->setTimezone(new DateTimeZone('UTC'));
        $form = 'Y-m-d H:i:s.v';
        $counted = $this->database->prepare(
            'SELECT (SELECT COUNT(*) FROM report_inbox WHERE box_id = ? AND received_at > ?), '.
                '(SELECT COUNT(*) FROM report_inbox WHERE taken = 0)',
        );
        $counted->execute([$box, $now->modify('-'.self::MINUTE.' seconds')->format($form)]);
        /** @var array{int|string, int|string} $counts */
        $counts = $counted->fetch(PDO::FETCH_NUM);
        if ((int) $counts[0] >= self::OFTEN) {
            return [429, 'One a day is enough; try again in a minute.'];
        }
        if ((int) $counts[1] >= self::MOST_WAITING) {
            return [503, 'Too many wait to be read; try again in some minutes.'];
        }
        $this->database
            ->prepare('INSERT INTO report_inbox (box_id, received_at, text) VALUES (?, ?, ?)')
            ->execute([$box, $now->format($form), $text]);

        return [202, 'It is here, and is read in a moment.'];
    }
}
