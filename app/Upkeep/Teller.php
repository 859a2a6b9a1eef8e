<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Household\Concerns;
use App\Models\Network;
use Burrow\Ground\Gathering;
use Burrow\Household\Household;
use Burrow\Upkeep\Tell\Message;
use Burrow\Upkeep\Tell\TypedTelling;
use GuzzleHttp\Client;
use Symfony\Component\Mailer\Transport\Smtp\SmtpTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Throwable;

/** Tells whoever is to be told, by mail and by the hook that somebody set; what goes wrong is kept and said. */
final readonly class Teller
{
    private const SECONDS = 8;

    /** Bytes of a hook's answer. */
    private const ANSWER = 65_536;

    /** @return ?Message what was told; null where there was nothing, or nobody to tell */
    public function tell(Household $house, Network $network, bool $now = false): ?Message
    {
        $to = TypedTelling::of(
            array_map(strval(...), $network->only(TypedTelling::FIELDS)),
            $network->asLocalNetwork(),
        );
        if ($to->findings->blocks() || ($to->to === '' && $to->hook === '')) {
            return null;
        }
        $told = array_values(
            array_filter(is_array($network->told_silent) ? $network->told_silent : [], is_string(...)),
        );
        $message = Message::due(
            $house,
            Gathering::of(Concerns::all(), $house, true),
            $now ? null : $network->told_at?->getTimestamp(),
            $told,
        );
        if ($message === null) {
            $network->update([
                'told_silent' => array_values(array_intersect($told, Message::silentIn($house))),
            ]);

            return null;
        }
        $wrong = array_filter([$this->mail($to, $message), $this->hook($to, $message)]);
        $arrived = count($wrong) < (int) ($to->to !== '') + (int) ($to->hook !== '');
        $network->update([
            // A box that fell silent at noon does not put the message of the day off.
            'told_at' => ! $arrived || ($message->isUrgent && $network->told_at !== null && ! $now)
                    ? $network->told_at
                    : now(),
            'told_silent' => $arrived ? $message->silent : $told,
            'told_wrong' => $wrong === [] ? null : mb_substr(implode(' ', $wrong), 0, 200),
        ]);

        return $message;
    }

    private function mail(TypedTelling $to, Message $message): ?string
    {
        if ($to->to === '' || $to->server === null) {
            return null;
        }
        try {
            // A server on this machine or in the house, in plain: that it shows a certificate is not asked of it.
            $transport = new SmtpTransport(
                new HurriedStream((string) $to->server, $to->port, microtime(true) + self::SECONDS),
            );
            $transport->send(
                (new Email())
                    ->from(new Address('burrow@'.(gethostname() ?: 'localhost'), 'Keen Burrow'))
                    ->to($to->to)
                    ->subject(ucfirst($message->subject))
                    ->text($message->text(url('/'))),
            );

            return null;
        } catch (Throwable $problem) {
            return 'The mail did not go out: '.mb_substr(mb_scrub($problem->getMessage()), 0, 120);
        }
    }

    private function hook(TypedTelling $to, Message $message): ?string
    {
        if ($to->hook === '') {
            return null;
        }
        try {
            $answer = (new Client())->post($to->hook, [
                'body' => json_encode($message, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                'headers' => ['Content-Type' => 'application/json', 'User-Agent' => 'keen-burrow'],
                'timeout' => self::SECONDS,
                'connect_timeout' => self::SECONDS,
                'allow_redirects' => false,
                'http_errors' => false,
                'verify' => false,
                'proxy' => '',
                // What it answers is of no interest; one that drips is let go after the time for the whole.
                'sink' => fopen('php://temp/maxmemory:65536', 'w+'),
                'progress' => fn (int $all, int $got): bool => $got > self::ANSWER,
            ]);

            return $answer->getStatusCode() < 300 ? null : "The hook answered {$answer->getStatusCode()}.";
        } catch (Throwable $problem) {
            return 'The hook did not answer: '.mb_substr(mb_scrub($problem->getMessage()), 0, 120);
        }
    }
}
