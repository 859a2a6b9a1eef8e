<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Lists of names that a filter refuses, in the forms of ListLine. */
final class ListReader implements Reader
{
    public function kind(): string
    {
        return 'list';
    }

    public function summary(): string
    {
        return 'names that a filter refuses: hosts, plain, ||name^, dnsmasq, unbound, response policy zones';
    }

    public function sign(): string
    {
        return '~^(?:\|\||@@\|\|)[\w.-]+\^|^(?:0\.0\.0\.0|127\.0\.0\.1|::) +[\w-]+\.[\w.-]+\s*$|'.
            '^(?:address|local)=/[\w.-]+/|^ *local-zone: *"[\w.-]+" +\w+|^\*?[\w.-]+ +(?:\d+ +)?(?:IN +)?CNAME +(?:\.|rpz-)~mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = [];
        $names = new NameSet();
        foreach (Lines::of($text) as $number => $line) {
            $named = ListLine::names($line);
            if ($named === null) {
                $unread->add($number, 'no name that a resolver is asked stands in it');

                continue;
            }
            foreach ($named as $one) {
                $exception = $one[0] === '@';
                $one = $exception ? substr($one, 1) : $one;
                $facts[] = new ListedName(ltrim($one, '*'), $one[0] === '*', $exception, $number);
                $exception || $names->add($one);
            }
        }

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            ['unique' => $names->count(), 'folded' => $names->folded()],
            $unread->count(),
        );
    }
}
