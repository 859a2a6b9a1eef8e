<?php

declare(strict_types=1);

namespace App\Card;

use App\Models\Box;
use App\Models\Network;
use Burrow\Card\FirstBoot;
use Burrow\Card\LoginCheck;
use Burrow\Card\Sha512Crypt;
use Burrow\Net\Hostname;
use Burrow\Net\TimeZone;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;
use Illuminate\Http\Request;

/** What was typed for a card. A password lives as long as this object does, and is kept nowhere. */
final readonly class CardRequest
{
    public Findings $findings;

    private function __construct(
        public string $user,
        public string $publicKey,
        #[\SensitiveParameter] private string $password,
        public string $timeZone,
        public string $keyboard,
    ) {
        $this->findings = $this->judge();
    }

    public static function from(Request $request): self
    {
        return new self(
            $request->string('user')->trim()->value(),
            mb_substr($request->string('public_key')->trim()->value(), 0, 20000),
            $request->string('first_password')->value(),
            $request->string('time_zone')->trim()->value(),
            $request->string('keyboard')->trim()->value(),
        );
    }

    /**
     * Call only when no finding blocks.
     *
     * @param  list<string>  $packages
     */
    public function settings(Box $box, Network $network, array $packages): FirstBoot
    {
        return new FirstBoot(
            name: Hostname::parse((string) $box->name),
            domain: $network->domain,
            instance: $box->name.'-'.bin2hex(random_bytes(4)),
            user: $this->user,
            key: $this->publicKey === '' ? null : LoginCheck::key($this->publicKey),
            passwordHash: $this->password === '' ? null : Sha512Crypt::hash($this->password, substr(strtr(base64_encode(random_bytes(12)), '+', '.'), 0, 16)),
            timeZone: $this->timeZone,
            keyboard: $this->keyboard,
            packages: $packages,
        );
    }

    private function judge(): Findings
    {
        $findings = LoginCheck::userFindings($this->user);
        if ($this->publicKey === '' && $this->password === '') {
            $findings = $findings->and([Finding::stop('card.no_login', 'Nobody could log in.', 'A box without screen and keyboard needs a key or a password from the start.', 'Paste a public key, or choose a password.', Place::field('public_key'))]);
        }
        if ($this->publicKey !== '') {
            $findings = $findings->and(LoginCheck::keyFindings($this->publicKey));
        }
        if ($this->password !== '') {
            $findings = $findings->and(LoginCheck::passwordFindings($this->password, 'first_password'));
        }
        if (! TimeZone::isKnown($this->timeZone)) {
            $findings = $findings->and([Finding::stop('card.time_zone', "“{$this->timeZone}” is no time zone.", 'It is a region and a city; a bare offset has no summer time and is wrong half the year.', 'Choose one from the list.', Place::field('time_zone'))]);
        }
        if (preg_match('/^[a-z]{2}$/D', $this->keyboard) !== 1) {
            $findings = $findings->and([Finding::stop('card.keyboard', "“{$this->keyboard}” is no keyboard layout.", 'Layouts have two small letters, such as gb, us or de.', 'Type two letters.', Place::field('keyboard'))]);
        }

        return $findings;
    }
}
