<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Models\Box;
use Burrow\Board\LinkKind;
use Burrow\Plan\Circumstances;
use Burrow\Plan\Duty;
use Burrow\Plan\PlanInput;
use Burrow\Plan\WayOut;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Role\Role;
use Illuminate\Http\Request;
use Symfony\Component\Yaml\Yaml;

/** What was chosen on the plan sheet; anything missing or unknown becomes the usual choice. */
final readonly class Choices
{
    private const USUAL = ['role' => 'file-store', 'board' => 'flint', 'supply' => 'supply-3a', 'cable' => 'usual-1m', 'drive' => 'ssd-500', 'image' => 'server-64', 'card' => 'card-32-a1', 'case' => 'vented', 'link' => 'wired', 'on' => 'always', 'client' => 'desktop', 'room' => '24', 'price' => '0.30', 'copy' => '50', 'down' => '50', 'up' => '10', 'battery' => '0', 'subscription' => '0'];

    /** Typed numbers with their limits. */
    private const NUMBERS = ['room' => [-20, 60], 'price' => [0, 10], 'copy' => [1, 100000], 'down' => [0.1, 10000], 'up' => [0.1, 10000], 'battery' => [0, 10000], 'subscription' => [0, 1000]];

    public const CLIENTS = ['desktop' => 'a desktop computer', 'phone' => 'phones and tablets', 'browser' => 'a browser', 'television' => 'a television', 'program' => 'another program'];

    /** A box begins with one job and gets its second within the hour. */
    private const MORE_JOBS = ['also', 'too'];

    /** @param  array<string, string>  $chosen by the names of the sheet's fields */
    private function __construct(
        private Catalogue $catalogue,
        private array $chosen,
    ) {
    }

    public static function from(Request $request, Catalogue $catalogue): self
    {
        $known = self::known($catalogue);
        $chosen = [];
        foreach ($known as $name => $ids) {
            $typed = $request->string($name)->value();
            $chosen[$name] = match (true) {
                in_array($typed, $ids, true) => $typed,
                in_array(self::USUAL[$name] ?? 'none', $ids, true) => self::USUAL[$name] ?? 'none',
                default => $ids[0],
            };
        }
        foreach (self::NUMBERS as $name => [$least, $most]) {
            $typed = str_replace(',', '.', $request->string($name)->trim()->value());
            $chosen[$name] = is_numeric($typed) && $typed >= $least && $typed <= $most ? $typed : self::USUAL[$name];
        }

        return new self($catalogue, $chosen);
    }

    public function input(): PlanInput
    {
        $drive = $this->chosen['drive'];

        return new PlanInput(
            array_map(fn (string $id): Role => $this->catalogue->roles()[$id], $this->jobs()),
            $this->catalogue->boards()[$this->chosen['board']],
            $this->catalogue->supplies()[$this->chosen['supply']],
            $this->catalogue->cables()[$this->chosen['cable']],
            $drive === 'none' ? null : $this->catalogue->drives()[$drive],
            LinkKind::from($this->chosen['link']),
            $this->catalogue->images()[$this->chosen['image']],
            $this->catalogue->cards()[$this->chosen['card']],
            $this->catalogue->cases()[$this->chosen['case']],
            new Circumstances(
                (float) $this->chosen['room'], (float) $this->chosen['price'], Bytes::giga((float) $this->chosen['copy']), Duty::from($this->chosen['on']),
                (float) $this->chosen['down'], (float) $this->chosen['up'], (float) $this->chosen['battery'], Money::of((float) $this->chosen['subscription']), $this->chosen['client'],
            ),
        );
    }

    /** @return non-empty-list<string> ids of the jobs, each once */
    public function jobs(): array
    {
        $more = array_filter(array_map(fn (string $name): string => $this->chosen[$name], self::MORE_JOBS), fn (string $id): bool => $id !== 'none');

        return array_values(array_unique([$this->chosen['role'], ...$more]));
    }

    public function get(string $name): string
    {
        return $this->chosen[$name];
    }

    /** @return array<string, string> as the sheet's own address carries them */
    public function toArray(): array
    {
        return $this->chosen;
    }

    /** @return array<string, string> the same with a way out taken */
    public function taking(WayOut $way): array
    {
        return array_replace($this->chosen, array_map(fn (mixed $part): string => match (true) {
            $part instanceof LinkKind => $part->value,
            is_object($part) && isset($part->id) => (string) $part->id,
            default => 'none',
        }, $way->changes));
    }

    /** As ./burrow plan reads it. */
    public function asYaml(): string
    {
        $plan = ['jobs' => $this->jobs()] + array_combine(
            ['board', 'supply', 'cable', 'disk', 'link', 'image', 'card', 'case'],
            array_map(fn (string $name): string => $this->chosen[$name], ['board', 'supply', 'cable', 'drive', 'link', 'image', 'card', 'case']),
        ) + [
            'on' => $this->chosen['on'], 'used_from' => $this->chosen['client'], 'room_celsius' => (float) $this->chosen['room'], 'price_per_kwh' => (float) $this->chosen['price'], 'copy_gb' => (float) $this->chosen['copy'],
            'down_mbit' => (float) $this->chosen['down'], 'up_mbit' => (float) $this->chosen['up'], 'battery_wh' => (float) $this->chosen['battery'], 'subscription_a_month' => (float) $this->chosen['subscription'],
        ];

        return Yaml::dump($plan['disk'] === 'none' ? array_diff_key($plan, ['disk' => 0]) : $plan);
    }

    /** @return array<string, mixed> what of it a box keeps */
    public function forBox(): array
    {
        $parts = array_intersect_key($this->chosen, array_flip(['board', 'supply', 'cable', 'drive', 'link', 'image', 'card', 'case']));

        return ['drive' => $this->chosen['drive'] === 'none' ? null : $this->chosen['drive'], 'stage' => Box::PLANNED] + $parts;
    }

    /** @return array<string, non-empty-list<string>> */
    private static function known(Catalogue $catalogue): array
    {
        $ids = fn (string $kind): array => array_map(strval(...), array_keys($catalogue->entries($kind)));
        $known = ['role' => $ids('role'), 'also' => ['none', ...$ids('role')], 'too' => ['none', ...$ids('role')]];
        foreach (['board', 'supply', 'cable', 'image', 'card', 'case'] as $kind) {
            $known[$kind] = $ids($kind);
        }

        /** @var array<string, non-empty-list<string>> */
        return $known + ['drive' => [...$ids('drive'), 'none'], 'link' => ['wired', 'wireless'], 'on' => array_column(Duty::cases(), 'value'), 'client' => array_keys(self::CLIENTS)];
    }
}
