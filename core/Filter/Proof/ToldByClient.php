<?php

declare(strict_types=1);

namespace Burrow\Filter\Proof;

use Burrow\Household\NameExpected;
use Burrow\Intake\Lookup\Answer;
use Burrow\Net\Address;
use Burrow\Net\NameAnswer;

/** What a client's own look-up said of a name, and whether it asked the resolver that it should ask. */
final readonly class ToldByClient
{
    /** @param  string  $said  also who answered, where it is no filter of the house */
    private function __construct(public bool $held, public string $said)
    {
    }

    /**
     * @param  list<Answer>  $answers  of one name
     * @param  list<string>  $resolvers  addresses of the filters of the house
     */
    public static function of(NameExpected $expected, array $answers, array $resolvers): self
    {
        $addresses = [];
        $code = null;
        $server = null;
        // Where no server answered at all, no code came either.
        foreach ($answers as $one) {
            $server ??= $one->server === null ? null : Address::standard(explode('#', $one->server)[0]);
            $code = match (strtoupper((string) $one->status)) {
                'NOERROR' => $code ?? 0,
                'NXDOMAIN' => 3,
                'REFUSED' => 5,
                'SERVFAIL' => 2,
                default => $code,
            };
            if ($one->value !== null && Address::standard($one->value) !== null) {
                $addresses[] = $one->value;
            }
        }
        $answer = new NameAnswer($code, $addresses);
        // A stub on the client itself asks further, so that it is named says nothing.
        $another =
            $server !== null &&
            ! str_starts_with($server, '127.') &&
            $server !== '::1' &&
            ! in_array($server, $resolvers, true);

        return new self(
            $expected->isMetBy($answer) && ! $another,
            $answer->words().($another ? ", by {$server}, which is no filter of the house" : ''),
        );
    }
}
