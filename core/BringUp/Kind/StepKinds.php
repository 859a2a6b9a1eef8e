<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Kind\Hands\Applied;
use Burrow\BringUp\Kind\Hands\AskValues;
use Burrow\BringUp\Kind\Hands\ByWord;
use Burrow\BringUp\Kind\Hands\CardMade;
use Burrow\BringUp\Kind\Hands\Choosing;
use Burrow\BringUp\Kind\Hands\Claim;
use Burrow\BringUp\Kind\Hands\Counted;
use Burrow\BringUp\Kind\Hands\CountedAgain;
use Burrow\BringUp\Kind\Hands\ShownOnce;
use Burrow\BringUp\Kind\Looked\AskBack;
use Burrow\BringUp\Kind\Looked\AskGreeting;
use Burrow\BringUp\Kind\Looked\AskLogin;
use Burrow\BringUp\Kind\Looked\AskNames;
use Burrow\BringUp\Kind\Looked\AskPage;
use Burrow\BringUp\Kind\Looked\AskPinned;
use Burrow\BringUp\Kind\Looked\AskServices;
use Burrow\BringUp\Kind\Looked\AskSilent;
use Burrow\BringUp\Kind\Looked\FindLease;
use Burrow\BringUp\Kind\Looked\KeepHostKey;
use Burrow\BringUp\Kind\Typed\Command;
use Burrow\BringUp\Kind\Typed\ExpectedError;
use Burrow\BringUp\Kind\Typed\Halt;
use Burrow\BringUp\Kind\Typed\Handshake;
use Burrow\BringUp\Kind\Typed\MakeFileSystem;
use Burrow\BringUp\Kind\Typed\Share;
use Burrow\BringUp\Kind\Typed\SupplyHolds;
use Burrow\BringUp\Kind\Typed\Upgrade;
use Burrow\BringUp\Kind\Typed\Warmth;
use Burrow\BringUp\Kind\Typed\WhichDisk;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\StepKind;
use Burrow\BringUp\Step\StepPlace;

/** Every kind of step by its name. A new one is one class, or one line where it differs by its place alone. */
final class StepKinds
{
    /** @return array<string, StepKind> */
    public static function all(): array
    {
        static $all = null;

        return $all ??= self::byName(
            // By hand, on a page, or waited for: the person says when it is over.
            new ByWord('hand', StepPlace::Hand),
            new ByWord('power-on', StepPlace::Hand, BenchHelp::Power),
            // Another part goes in or comes out.
            new ByWord('card-across', StepPlace::Hand, BenchHelp::Across),
            new ByWord('plug-in', StepPlace::Hand, BenchHelp::PlugIn),
            new ByWord('plug-out', StepPlace::Hand, BenchHelp::PlugOut),
            new ByWord('other-part', StepPlace::Hand, BenchHelp::OtherPart),
            new ByWord('page', StepPlace::Page),
            new ByWord('answer-sheet', StepPlace::Box),
            new ByWord('client-cards', StepPlace::Desk),
            new ByWord('wait', StepPlace::Wait),
            // Somebody stays beside it: it asks something, or must not be left alone.
            new ByWord('watch', StepPlace::Wait),
            new AskValues(),
            new ShownOnce(),
            new Claim(),
            new Applied(),
            // An opening of the router, to the port that the tunnel has.
            new Applied('opening', BenchHelp::Open, StepPlace::Router),
            new Choosing(),
            new CardMade(),
            new Counted(),
            new CountedAgain(),
            // Typed; what was printed is read.
            new Command('desk', StepPlace::Desk),
            new Command('box', StepPlace::Box, BenchHelp::Type),
            new Command('reserve', StepPlace::Router, BenchHelp::Reserve),
            // The login session ends by itself and must be begun anew.
            new Command('forced-password', StepPlace::Desk),
            // Runs on by itself when the desk's window is closed; its look-in command tells how far it is.
            new Command('detached', StepPlace::Box, BenchHelp::Type),
            // A device shows itself to the system when it is plugged in.
            new Command('attached', StepPlace::Box, BenchHelp::Type),
            new ExpectedError(),
            new Halt(),
            // In a move it is the other box that is shut down.
            new Command('halt-old', StepPlace::Desk, BenchHelp::OldOff),
            new Upgrade(),
            new WhichDisk(),
            new MakeFileSystem(),
            new Share(),
            new SupplyHolds(),
            new Warmth(isBefore: true),
            new Warmth(isBefore: false),
            new Handshake(),
            // Asked over the network.
            new FindLease(),
            new AskLogin(),
            new KeepHostKey(),
            new AskPinned(),
            new AskBack(),
            new AskSilent('ask-free', 'new_address'),
            new AskSilent('ask-left', 'old_address'),
            new AskServices(),
            new AskNames(),
            new AskPage(),
            new AskGreeting(),
        );
    }

    /** By its name; what a playbook of another form calls otherwise is done by hand. */
    public static function of(string $name): StepKind
    {
        return self::all()[$name] ?? self::all()['hand'];
    }

    /** @return array<string, StepKind> */
    private static function byName(StepKind ...$kinds): array
    {
        $byName = [];
        foreach ($kinds as $kind) {
            $byName[$kind->name()] = $kind;
        }

        return $byName;
    }
}
