<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;

/**
 * Lease lists in the two file formats that home routers keep: one line a lease
 * (expiry, hardware address, address, name, client id; an expiry of 0 never ends),
 * and `lease … { … }` blocks as in dhcpd.leases(5), where the last block for an address holds.
 */
final class LeaseReader implements Reader
{
    public function kind(): string
    {
        return 'leases';
    }

    public function summary(): string
    {
        return 'a router\'s lease file: one line a lease, or lease { … } blocks';
    }

    public function sign(): string
    {
        return '/^\d{9,11} (?:[0-9a-f]{2}:){5}[0-9a-f]{2} [\d.]+ |^lease [\d.]+ \{/mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $leases =
            preg_match('/^[ \t]*lease[ \t]+[\d.]+[ \t]*\{/m', $text) === 1
                ? $this->blocks($text, $unread)
                : $this->lines($text, $unread);
        $findings = $unread->findings();
        if ($leases === []) {
            $findings = $findings->and([IntakeFindings::noLeases()]);
        }

        return new Reading(
            $this->kind(),
            array_values($leases),
            $findings->and($this->shared($leases))->and($this->outside($leases)),
        );
    }

    /** @return array<string, Lease> by address */
    private function lines(string $text, UnreadLines $unread): array
    {
        $leases = [];
        $number = 0;
        foreach ($this->eachLine($text) as $line) {
            $number++;
            $words = preg_split('/\s+/', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if ($words === [] || str_starts_with($words[0], '#') || $words[0] === 'duid') {
                continue;
            }
            $mac = Mac::tryParse($words[1] ?? '');
            $address = Ipv4::tryParse($words[2] ?? '');
            if ($mac === null || $address === null || ! ctype_digit($words[0]) || strlen($words[0]) > 18) {
                $unread->add($number, 'it is not “expiry hardware-address address name”');

                continue;
            }
            $name = $words[3] ?? '*';
            $leases[(string) $address] = new Lease(
                $address,
                $mac,
                $name === '*' ? null : $name,
                (int) $words[0] ?: null,
            );
        }

        return $leases;
    }

    /** @return array<string, Lease> by address */
    private function blocks(string $text, UnreadLines $unread): array
    {
        $leases = [];
        $number = 0;
        $address = null;
        $body = '';
        foreach ($this->eachLine($text) as $line) {
            $number++;
            if (preg_match('/^\s*lease\s+(\S+)\s*\{(.*)$/', $line, $match) === 1) {
                $address = Ipv4::tryParse($match[1]);
                $body = $match[2];
                if ($address === null) {
                    $unread->add($number, 'its address cannot be read');
                }
            } elseif ($address !== null) {
                $body .= "\n".$line;
            }
            if ($address !== null && str_contains($line, '}')) {
                $lease = $this->block($address, $body);
                $lease === null
                    ? $unread->add($number, 'the lease has no hardware address')
                    : ($leases[(string) $address] = $lease);
                $address = null;
            }
        }

        return $leases;
    }

    private function block(Ipv4 $address, string $body): ?Lease
    {
        $mac =
            preg_match('/hardware\s+ethernet\s+([^;\s]+)/', $body, $match) === 1 ? Mac::tryParse($match[1]) : null;
        if ($mac === null) {
            return null;
        }
        $name = preg_match('/client-hostname\s+"([^"]*)"/', $body, $match) === 1 ? $match[1] : null;
        $expires =
            preg_match('~ends\s+\d\s+(\d{4}/\d\d/\d\d \d\d:\d\d:\d\d)~', $body, $match) === 1
                ? strtotime($match[1].' UTC')
                : false;

        return new Lease($address, $mac, $name, $expires ?: null);
    }

    /**
     * Addresses that no home router hands out: the list is another network's, or something is badly wrong with the
     * router.
     *
     * @param  array<string, Lease>  $leases
     */
    private function outside(array $leases): Findings
    {
        $public = array_filter($leases, fn (Lease $lease): bool => ! $lease->address->isPrivate());

        return $public === []
            ? Findings::of()
            : Findings::of(IntakeFindings::leaseNotPrivate(array_key_first($public), count($public)));
    }

    /**
     * Two addresses with one hardware address: often a board whose card was changed, worth knowing.
     *
     * @param  array<string, Lease>  $leases
     */
    private function shared(array $leases): Findings
    {
        $byMac = [];
        foreach ($leases as $lease) {
            $byMac[(string) $lease->mac][] = (string) $lease->address;
        }
        $findings = Findings::of();
        foreach ($byMac as $mac => $addresses) {
            if (count($addresses) > 1 && count($findings) < 5) {
                $findings = $findings->and([IntakeFindings::oneMachineTwoLeases($mac, $addresses)]);
            }
        }

        return $findings;
    }

    /**
     * Lines without copying the whole text into an array; none longer than 4096 bytes.
     *
     * @return iterable<string>
     */
    private function eachLine(string $text): iterable
    {
        $from = 0;
        $length = strlen($text);
        while ($from < $length) {
            $end = strpos($text, "\n", $from);
            $end = $end === false ? $length : $end;
            yield substr($text, $from, min($end - $from, 4096));
            $from = $end + 1;
        }
    }
}
