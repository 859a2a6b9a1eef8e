<?php

declare(strict_types=1);

namespace Bench\Faults;

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
