<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Told\AskedValue;
use Burrow\BringUp\Told\KnownError;
use Burrow\Household\DoorState;
use Burrow\Intake\Leases\Lease;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Text\Words;

/** Every judgement of this stage, each with its one text; docs/formulas/bringup.md lists them with their sources. */
final class BringUpFindings
{
    public static function portOpen(Ipv4 $address, int $port): Finding
    {
        return Finding::fine('bringup.port_open', "Port {$port} at {$address} is open.");
    }

    public static function portRefused(Ipv4 $address, int $port): Finding
    {
        return Finding::warn(
            'bringup.port_refused',
            "Port {$port} at {$address} is refused.",
            'The box is there and running; the service is not started, or listens on another port.',
            $port === 22
                ? 'Remote login was probably not switched on: look over user-data.'
                : 'Look at the service on the box: systemctl status.',
        );
    }

    public static function portSilent(Ipv4 $address, int $port): Finding
    {
        return Finding::warn(
            'bringup.port_silent',
            "Port {$port} at {$address} is silent.",
            'Nobody has this address, the box is still starting, or a firewall swallows the question.',
            'Wait for the usual time, then look at the lights and the cable.',
        );
    }

    public static function port(DoorState $met, Ipv4 $address, int $port): Finding
    {
        return match ($met) {
            DoorState::Open => self::portOpen($address, $port),
            DoorState::Refused => self::portRefused($address, $port),
            DoorState::Silent => self::portSilent($address, $port),
        };
    }

    public static function stillAtOld(Ipv4 $before, Ipv4 $address): Finding
    {
        return Finding::warn(
            'bringup.still_at_old',
            "It answers at {$before}, where it was found, and not at {$address}.",
            'The reservation is missing or not applied yet, or the box was not restarted since.',
            "Look at the router's reservations for {$address}, apply them, and restart the box once more.",
        );
    }

    public static function noAddress(): Finding
    {
        return Finding::stop(
            'bringup.no_address',
            'This box has no address to ask at.',
            'It was neither planned nor found in the router\'s list.',
            'Give it an address on its page, or take back the step that finds it.',
        );
    }

    public static function noHostKey(): Finding
    {
        return Finding::warn(
            'bringup.no_host_key',
            'Port 22 showed no host key.',
            'Either it is not remote login that answers there, or it is just starting.',
            'Look again in half a minute.',
        );
    }

    public static function hostKeyFirst(string $fingerprint): Finding
    {
        return Finding::note(
            'bringup.host_key_first',
            "First key of this box: {$fingerprint}.",
            'Nothing is known to compare it with but the box\'s own screen.',
            'If it has one, compare the text there.',
        );
    }

    public static function hostKeySame(): Finding
    {
        return Finding::fine('bringup.host_key_same', 'The host key is the one kept.');
    }

    /** @param  string  $written  when the card was written, as it is shown */
    public static function hostKeyRewritten(string $written): Finding
    {
        return Finding::note(
            'bringup.host_key_rewritten',
            'Another host key, as expected.',
            "The card was written on {$written}, and a new system makes new keys.",
            'Remove the old one on the desk computer: ssh-keygen -R with the box\'s address.',
        );
    }

    public static function hostKeyChanged(string $kept, string $shown): Finding
    {
        return Finding::stop(
            'bringup.host_key_changed',
            'Another host key, and no reason for it.',
            "Kept is {$kept}; shown is {$shown}. Another machine may sit at this address.",
            'Do not log in. Look at the router\'s list for the hardware address first.',
        );
    }

    public static function found(Lease $lease, bool $isNew): Finding
    {
        return Finding::fine(
            'bringup.found',
            "Found at {$lease->address}: ".
                ($isNew ? 'new in the list, and the name fits' : 'the name fits').
                '.',
        );
    }

    public static function oldLeaseOfThatName(Hostname $name): Finding
    {
        return Finding::note(
            'bringup.old_lease_of_that_name',
            "An older lease of {$name->label} is in the list as well.",
            'It was there before the power came: of the board or card that was before, until it runs out.',
            'Where that one is still on, take its power: two of one name confuse the house.',
        );
    }

    public static function twoOfThatName(Hostname $name): Finding
    {
        return Finding::stop(
            'bringup.two_of_that_name',
            "Two machines call themselves {$name}.",
            'One of them is an older card or another board.',
            'Take the power from the other one.',
        );
    }

    public static function otherName(Hostname $name, Lease $lease): Finding
    {
        $as = $lease->name === null ? 'without a name' : "as “{$lease->name}”";

        return Finding::warn(
            'bringup.other_name',
            "One new machine is in the list, {$as}, at {$lease->address}.",
            "It should call itself “{$name}”; the first-boot settings were probably not read.",
            'Look over the card\'s user-data, and remote login may be refused.',
        );
    }

    public static function notInList(Hostname $name): Finding
    {
        return Finding::warn(
            'bringup.not_in_list',
            "{$name} is not in the router's list yet.",
            'It may still be starting; otherwise no cable, a weak supply, a card that was not written, or network-config that was not read.',
            'Look at the lights of the network socket first: that costs nothing and tells most.',
        );
    }

    public static function severalNew(Hostname $name, int $count): Finding
    {
        return Finding::warn(
            'bringup.several_new',
            "{$count} machines are new in the list, and none is called {$name}.",
            'A guess would lead to the wrong one.',
            'Read the list again in a minute.',
        );
    }

    public static function benchAway(string $because): Finding
    {
        return Finding::warn(
            'bringup.bench_away',
            $because,
            'The bench is a program of its own.',
            'Start it: ./burrow up.',
        );
    }

    public static function answerNeeded(string $field): Finding
    {
        return Finding::stop(
            'bringup.answer_needed',
            'The box\'s answer is needed here.',
            'Later commands are filled in from it.',
            'Paste what you saw.',
            Place::field($field),
        );
    }

    public static function typeTheDisk(string $typed, string $name, string $field): Finding
    {
        return Finding::stop(
            'bringup.type_the_disk',
            $typed === '' ? 'Type the disk\'s name to go on.' : "“{$typed}” is not the disk that was found.",
            'The next step wipes it, and that cannot be undone.',
            "It is {$name}.",
            Place::field($field),
        );
    }

    /** @param  non-empty-list<string>  $jobs  labels of the jobs whose steps are missing */
    public static function noPlaybook(array $jobs): Finding
    {
        return Finding::warn(
            'bringup.no_playbook',
            'This run brings the box up, and does not install: '.implode(', ', $jobs).'.',
            'The playbook of '.
                (count($jobs) === 1 ? 'this job' : 'these jobs').
                ' holds no steps of its own yet, so nothing of it will be installed or tried.',
            'After the last step the box stands there, pinned and up to date, and counts as not finished.',
        );
    }

    public static function nobodyThere(Ipv4 $address): Finding
    {
        return Finding::fine('bringup.nobody_there', "{$address} is silent.");
    }

    public static function somebodyThere(Ipv4 $address, int $port): Finding
    {
        return Finding::stop(
            'bringup.somebody_there',
            "Somebody answers at {$address}, on port {$port}.",
            'Two machines with one address answer in turns, and both seem broken (RFC 5227).',
            'Look in Addresses and in the router\'s list who it is before you go on.',
        );
    }

    public static function schoolGone(string $job, string $school, ?string $instead): Finding
    {
        return Finding::warn(
            'bringup.school_gone',
            "{$job}: there is no school “{$school}” any more.",
            $instead === null ? 'So it has no steps.' : "Its steps are those of the school “{$instead}”.",
            'Choose a school in its plan if you want another one.',
        );
    }

    /** @param  positive-int  $open  steps that were passed over and jobs whose playbook was not played to its end */
    public static function unfinished(string $box, int $open): Finding
    {
        return Finding::warn(
            'bringup.unfinished',
            ucfirst($box).
                ' is not finished: '.
                ($open === 1 ? 'one thing was' : Words::number($open).' things were').
                ' left open.',
            'What was passed over was not looked at, and nothing is recorded of it.',
            'Its page lists them, with the reasons.',
        );
    }

    public static function knownError(KnownError $error, string $field): Finding
    {
        return Finding::stop(
            'bringup.known_error',
            $error->found,
            $error->why,
            $error->do,
            Place::field($field),
        );
    }

    public static function notSeen(string $words, string $field): Finding
    {
        return Finding::stop(
            'bringup.not_seen',
            "“{$words}” does not stand in what was pasted.",
            'The step is over when the program says so.',
            'Wait a little and look again, or paste the whole of what it printed.',
            Place::field($field),
        );
    }

    public static function valueNotPrinted(string $label, string $after, string $field): Finding
    {
        return Finding::stop(
            'bringup.value_not_printed',
            ucfirst($label).' does not stand in what was pasted.',
            $after === ''
                ? 'A later command needs it.'
                : "It stands behind “{$after}”, and a later command needs it.",
            'Paste the last lines whole.',
            Place::field($field),
        );
    }

    public static function valueNotFit(AskedValue $asked, string $typed, string $field): Finding
    {
        return Finding::stop(
            'bringup.value_not_fit',
            $typed === ''
                ? "{$asked->label}: nothing was typed."
                : "{$asked->label}: “".mb_strimwidth($typed, 0, 60, '…').'” will not do.',
            'Later commands and files are made with it.',
            "It must be {$asked->kind->wanted()}.",
            Place::field($field),
        );
    }

    public static function choiceNeeded(string $field): Finding
    {
        return Finding::stop(
            'bringup.choice_needed',
            'One of the answers is needed.',
            'Only a person can see it.',
            'Choose what you saw.',
            Place::field($field),
        );
    }

    public static function saidNo(string $title, string $do, string $field): Finding
    {
        return Finding::warn(
            'bringup.said_no',
            "{$title}: no.",
            'So the step is not over.',
            $do,
            Place::field($field),
        );
    }

    public static function savedOnly(string $field): Finding
    {
        return Finding::stop(
            'bringup.saved_only',
            'Saved, and not applied.',
            'This page keeps a change aside until its second button is pressed; nothing has happened on the box yet.',
            'Press the second button, wait until the page says that it is done, then choose the other answer.',
            Place::field($field),
        );
    }

    public static function whereKept(string $field): Finding
    {
        return Finding::stop(
            'bringup.where_kept',
            'Say where you put it.',
            'It is shown once. Whoever goes on without it has to set it anew.',
            'The place, never the secret itself: “password manager, entry sieve”.',
            Place::field($field),
        );
    }

    public static function looksSecret(string $field): Finding
    {
        return Finding::stop(
            'bringup.looks_secret',
            'That looks like the secret itself.',
            'Only where it is kept is written down here.',
            'Name the place: “password manager, entry sieve”, “paper in the fuse box”.',
            Place::field($field),
        );
    }

    public static function recoveryWhere(string $field): Finding
    {
        return Finding::stop(
            'bringup.recovery_where',
            'Where do the recovery codes lie?',
            'When the device with the second factor is lost, they are the only way in.',
            'Print them, and say where the paper is.',
            Place::field($field),
        );
    }

    public static function errorDidNotCome(string $expected, string $field): Finding
    {
        return Finding::stop(
            'bringup.error_did_not_come',
            "The expected “{$expected}” does not stand there.",
            'Here an error is the right result: it shows that the guard works.',
            'Paste what was printed, whole. If the command went through, go back to the step before.',
            Place::field($field),
        );
    }

    public static function stillOn(Ipv4 $address): Finding
    {
        return Finding::warn(
            'bringup.still_on',
            "{$address} still answers.",
            'A box that answers is not shut down, and its power must stay on.',
            'Wait until its activity light rests, then look again.',
        );
    }

    public static function namesAnswered(string $name, string $what): Finding
    {
        return Finding::fine('bringup.name_ok', "{$name}: {$what}.");
    }

    /** @param  string  $wanted  "refused", "answered", "answered with 172.22.8.16" */
    public static function nameOtherwise(
        string $name,
        string $transport,
        string $what,
        string $wanted,
    ): Finding {
        return Finding::warn(
            'bringup.name_otherwise',
            "{$name} over {$transport}: {$what}; it should be {$wanted}.",
            'Asked at the box\'s own address, so no other resolver and no cache took part.',
            'Look at the service\'s own log on the box, then at its list and its configuration.',
        );
    }

    public static function pageOk(string $title, int $status): Finding
    {
        return Finding::fine(
            'bringup.page_ok',
            "The page answers with {$status}".($title === '' ? '.' : " and calls itself “{$title}”."),
        );
    }

    public static function pageOtherwise(string $what, string $do): Finding
    {
        return Finding::warn(
            'bringup.page_otherwise',
            $what,
            'Answering and being ready are two stages: many pages say first that they are loading.',
            $do,
        );
    }

    public static function certificate(string $subject, string $until, bool $ownHand): Finding
    {
        return Finding::note(
            'bringup.certificate',
            "Its certificate is for {$subject} and good until {$until}.",
            $ownHand
                ? 'It was signed by the box itself, so a browser warns at the first visit.'
                : 'Another signed it.',
            'Compare its fingerprint once, then let the browser keep it.',
        );
    }

    public static function greetingOk(int $port, string $what): Finding
    {
        return Finding::fine('bringup.greeting_ok', "Port {$port} greets as {$what}.");
    }

    public static function greetingOther(int $port, string $wanted): Finding
    {
        return Finding::warn(
            'bringup.greeting_other',
            "Port {$port} is open, and what answers there is not {$wanted}.",
            'Another program holds the port, or the service is still starting.',
            'See on the box who holds it: sudo ss -tulpn.',
        );
    }

    public static function valueMissing(string $what): Finding
    {
        return Finding::stop(
            'bringup.value_missing',
            "{$what} is not known.",
            'The step that asks for it was passed over.',
            'Take that step back and answer it.',
        );
    }

    /** @param  list<string>  $titles */
    public static function needsFirst(array $titles): Finding
    {
        return Finding::stop(
            'bringup.needs_first',
            'Before this: '.
                implode(', ', array_map(fn (string $title): string => "“{$title}”", $titles)).
                '.',
            'It was passed over, and what is done here rests on it.',
            'Take it back and do it, or pass this step over as well, with the reason.',
        );
    }

    public static function noHandshake(string $words): Finding
    {
        return Finding::warn(
            'bringup.no_handshake',
            $words,
            'Without a handshake of the last minutes nothing came through.',
            'From outside only: the phone without the house\'s radio. Look at the forward: UDP, this port, this box.',
        );
    }

    public static function handshake(string $words): Finding
    {
        return Finding::fine('bringup.handshake', $words);
    }

    public static function cannotBeWritten(string $kind, string $why, Place $place): Finding
    {
        return Finding::stop(
            'bringup.cannot_be_written',
            "No file of the kind {$kind} can hold these values. {$why}",
            'A file is whole or not at all.',
            'Change the value.',
            $place,
        );
    }

    public static function nothingCounted(string $field): Finding
    {
        return Finding::stop(
            'bringup.nothing_counted',
            'Nothing is counted.',
            'What nobody counted before, nobody misses afterwards, until it is wanted.',
            'Write one thing in a line with its number, as “12 devices”.',
        )->at(Place::field($field));
    }

    /** @param  list<int>  $lines  from 1 */
    public static function lineNotCounted(array $lines, string $field): Finding
    {
        return Finding::stop(
            'bringup.line_not_counted',
            (count($lines) === 1 ? 'Line ' : 'Lines ').
                implode(', ', array_slice($lines, 0, 8)).
                (count($lines) === 1 ? ' says' : ' say').
                ' no thing that can be counted.',
            'A line is a number and what there is of it, or a name.',
            'Write it as “12 devices” or “devices: 12”.',
        )->at(Place::field($field));
    }

    public static function tooMuchCounted(string $field): Finding
    {
        return Finding::stop(
            'bringup.too_much_counted',
            'That is more than is read.',
            'At most 200 lines, and 16 kB.',
            'Count kinds of things rather than each of them.',
        )->at(Place::field($field));
    }

    /** @param  non-empty-list<array{what: string, before: int, after: int}>  $less */
    public static function notAllThere(array $less, string $field): Finding
    {
        $more = count($less) - 8;

        return Finding::stop(
            'bringup.not_all_there',
            'Missing: '.
                implode(
                    ', ',
                    array_map(
                        fn (array $one): string => "{$one['what']} ({$one['after']} of {$one['before']})",
                        array_slice($less, 0, 8),
                    ),
                ).
                ($more > 0 ? " and {$more} more kinds" : '').
                '.',
            'A partial backup leaves out what was not ticked; a stick or disk may not be plugged in; an integration may want its login anew.',
            'Find it, or go the way back while the old card is whole. What you do without is passed over with its reason.',
        )->at(Place::field($field));
    }

    /** @param  non-empty-list<array{what: string, before: int, after: int}>  $more  seen from the other side */
    public static function moreThanBefore(array $more): Finding
    {
        return Finding::note(
            'bringup.more_than_before',
            'There is more than before: '.
                implode(
                    ', ',
                    array_map(
                        fn (array $one): string => "{$one['what']} ({$one['before']} after {$one['after']})",
                        array_slice($more, 0, 8),
                    ),
                ).
                '.',
            'What is there twice was set up by hand before the restore, or was counted otherwise.',
            'Look whether one thing is there under two names.',
        );
    }
}
