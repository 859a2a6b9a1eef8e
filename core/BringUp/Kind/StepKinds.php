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
use Closure;

/** Every kind of step by its name. A new one is one class, or one line where it differs by its place alone. */
final class StepKinds
{
    /**
     * How each is made, by its name: a run has steps of a few kinds, and the others are not even read.
     *
     * @return array<string, Closure(): StepKind>
     */
    private static function makers(): array
    {
        return [
            // By hand, on a page, or waited for: the person says when it is over.
            'hand' => fn () => new ByWord('hand', StepPlace::Hand),
            'power-on' => fn () => new ByWord('power-on', StepPlace::Hand, BenchHelp::Power),
            // Another part goes in or comes out.
            'card-across' => fn () => new ByWord('card-across', StepPlace::Hand, BenchHelp::Across),
            'plug-in' => fn () => new ByWord('plug-in', StepPlace::Hand, BenchHelp::PlugIn),
            'plug-out' => fn () => new ByWord('plug-out', StepPlace::Hand, BenchHelp::PlugOut),
            'other-part' => fn () => new ByWord('other-part', StepPlace::Hand, BenchHelp::OtherPart),
            'page' => fn () => new ByWord('page', StepPlace::Page),
            'answer-sheet' => fn () => new ByWord('answer-sheet', StepPlace::Box),
            'client-cards' => fn () => new ByWord('client-cards', StepPlace::Desk),
            'wait' => fn () => new ByWord('wait', StepPlace::Wait),
            // Somebody stays beside it: it asks something, or must not be left alone.
            'watch' => fn () => new ByWord('watch', StepPlace::Wait),
            'values' => fn () => new AskValues(),
            'shown-once' => fn () => new ShownOnce(),
            'claim' => fn () => new Claim(),
            'saved-applied' => fn () => new Applied(),
            // An opening of the router, to the port that the tunnel has.
            'opening' => fn () => new Applied('opening', BenchHelp::Open, StepPlace::Router),
            'question' => fn () => new Choosing(),
            'card-made' => fn () => new CardMade(),
            'inventory' => fn () => new Counted(),
            'inventory-again' => fn () => new CountedAgain(),
            // Typed; what was printed is read.
            'desk' => fn () => new Command('desk', StepPlace::Desk),
            'box' => fn () => new Command('box', StepPlace::Box, BenchHelp::Type),
            'reserve' => fn () => new Command('reserve', StepPlace::Router, BenchHelp::Reserve),
            // The login session ends by itself and must be begun anew.
            'forced-password' => fn () => new Command('forced-password', StepPlace::Desk),
            // Runs on by itself when the desk's window is closed; its look-in command tells how far it is.
            'detached' => fn () => new Command('detached', StepPlace::Box, BenchHelp::Type),
            // A device shows itself to the system when it is plugged in.
            'attached' => fn () => new Command('attached', StepPlace::Box, BenchHelp::Type),
            'expected-error' => fn () => new ExpectedError(),
            'halt' => fn () => new Halt(),
            // In a move it is the other box that is shut down.
            'halt-old' => fn () => new Command('halt-old', StepPlace::Desk, BenchHelp::OldOff),
            'upgrade' => fn () => new Upgrade(),
            'which-disk' => fn () => new WhichDisk(),
            'make-file-system' => fn () => new MakeFileSystem(),
            'share' => fn () => new Share(),
            'supply-holds' => fn () => new SupplyHolds(),
            'warmth-before' => fn () => new Warmth(isBefore: true),
            'warmth' => fn () => new Warmth(isBefore: false),
            'handshake' => fn () => new Handshake(),
            // Asked over the network.
            'find-lease' => fn () => new FindLease(),
            'ask-login' => fn () => new AskLogin(),
            'keep-host-key' => fn () => new KeepHostKey(),
            'ask-pinned' => fn () => new AskPinned(),
            'ask-back' => fn () => new AskBack(),
            'ask-free' => fn () => new AskSilent('ask-free', 'new_address'),
            'ask-left' => fn () => new AskSilent('ask-left', 'old_address'),
            'ask-services' => fn () => new AskServices(),
            'ask-names' => fn () => new AskNames(),
            'ask-page' => fn () => new AskPage(),
            'ask-greeting' => fn () => new AskGreeting(),
        ];
    }

    /** @return array<string, StepKind> */
    public static function all(): array
    {
        return array_map(fn (Closure $make): StepKind => $make(), self::makers());
    }

    /** By its name; what a playbook of another form calls otherwise is done by hand. */
    public static function of(string $name): StepKind
    {
        /** @var array<string, StepKind> $made */
        static $made = [];
        /** @var ?array<string, Closure(): StepKind> $makers */
        static $makers = null;
        $makers ??= self::makers();

        return $made[$name] ??= ($makers[$name] ?? $makers['hand'])();
    }

    private function __construct()
    {
    }
}
