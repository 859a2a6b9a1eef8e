<?php

declare(strict_types=1);

namespace Bench\Faults;

use Bench\Faults\Card\CardCounterfeit;
use Bench\Faults\Card\CardDying;
use Bench\Faults\Card\CardEmpty;
use Bench\Faults\Card\CardLoose;
use Bench\Faults\Card\CardOtherBoard;
use Bench\Faults\Card\CardTurned;
use Bench\Faults\Card\LineEnds;
use Bench\Faults\Card\MarkerExtension;
use Bench\Faults\Card\NoRemoteLogin;
use Bench\Faults\Card\StartDamaged;
use Bench\Faults\Login\FirstPassword;
use Bench\Faults\Login\KeyChanged;
use Bench\Faults\Login\WrongUser;
use Bench\Faults\Network\AddressClash;
use Bench\Faults\Network\GuestNetwork;
use Bench\Faults\Network\InstallerNetwork;
use Bench\Faults\Network\InterfaceRenamed;
use Bench\Faults\Network\InternetOut;
use Bench\Faults\Network\LeaseMoved;
use Bench\Faults\Network\NoCable;
use Bench\Faults\Network\NoForward;
use Bench\Faults\Network\NoMdns;
use Bench\Faults\Network\OtherDns;
use Bench\Faults\Network\SecondDhcp;
use Bench\Faults\Network\SlowLink;
use Bench\Faults\Network\SwitchDead;
use Bench\Faults\Network\WrongCountry;
use Bench\Faults\Network\WrongPassphrase;
use Bench\Faults\Network\WrongSubnet;
use Bench\Faults\Power\BackFeed;
use Bench\Faults\Power\DeadSupply;
use Bench\Faults\Power\Hot;
use Bench\Faults\Power\WeakSupply;
use Bench\Faults\Service\ClockWrong;
use Bench\Faults\Service\DiskFull;
use Bench\Faults\Service\DiskMissing;
use Bench\Faults\Service\DiskStops;
use Bench\Faults\Service\Firewall;
use Bench\Faults\Service\LoopbackOnly;
use Bench\Faults\Service\NotEnabled;
use Bench\Faults\Service\OtherPort;
use Bench\Faults\Service\PageLoading;
use Bench\Faults\Service\PortTaken;
use Bench\Faults\Service\ServiceStopped;
use Bench\Faults\Service\SharePassword;
use Bench\Faults\Service\StepCut;
use Bench\Faults\Service\Unclaimed;
use Bench\Faults\Service\UpgradeBroken;

/** Every fault that can be put into a board. A new one is one class and one line here. */
final class Faults
{
    /** @return list<Fault> */
    public static function all(): array
    {
        return [
            new DeadSupply(),
            new NoCable(),
            new WeakSupply(),
            new BackFeed(),
            new Hot(),
            new CardLoose(),
            new CardTurned(),
            new CardEmpty(),
            new CardOtherBoard(),
            new CardDying(),
            new CardCounterfeit(),
            new StartDamaged(),
            new MarkerExtension(),
            new NoRemoteLogin(),
            new LineEnds(),
            new WrongCountry(),
            new WrongPassphrase(),
            new AddressClash(),
            new WrongSubnet(),
            new GuestNetwork(),
            new NoMdns(),
            new KeyChanged(),
            new WrongUser(),
            new FirstPassword(),
            new Firewall(),
            new ServiceStopped(),
            new NotEnabled(),
            new PortTaken(),
            new OtherPort(),
            new LoopbackOnly(),
            new PageLoading(),
            new Unclaimed(),
            new ClockWrong(),
            new InterfaceRenamed(),
            new StepCut(),
            new InstallerNetwork(),
            new LeaseMoved(),
            new InternetOut(),
            new DiskStops(),
            new DiskMissing(),
            new DiskFull(),
            new UpgradeBroken(),
            new OtherDns(),
            new SecondDhcp(),
            new SwitchDead(),
            new SharePassword(),
            new SlowLink(),
            new NoForward(),
        ];
    }

    /** One, or two at once joined by a plus. Null for a name that is none: the board is well. */
    public static function of(?string $name): ?Fault
    {
        $two = explode(Both::AND, (string) $name, 2);
        if (count($two) === 2) {
            [$one, $other] = array_map(self::of(...), $two);

            return $one === null || $other === null ? $one ?? $other : new Both($one, $other);
        }
        foreach (self::all() as $fault) {
            if ($fault->name() === $name) {
                return $fault;
            }
        }

        return null;
    }
}
