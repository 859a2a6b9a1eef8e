<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Models\Box;
use BackedEnum;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Household\Stage;
use Burrow\Plan\Circumstances;
use Burrow\Plan\Duty;
use Burrow\Plan\Host;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlanOfBox;
use Burrow\Plan\SchoolChoice;
use Burrow\Plan\Seat;
use Burrow\Plan\StartFrom;
use Burrow\Plan\Ways\WayOut;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Illuminate\Http\Request;

/** What was chosen on the plan sheet; anything missing or unknown becomes the usual choice. */
final readonly class Choices
{
    /** Fields of the sheet that are called otherwise than the plan's part. */
    private const FIELDS = ['startFrom' => 'start', 'imageFrom' => 'from'];

    /** @param  array<string, string>  $chosen by the names of the sheet's fields */
    private function __construct(
        private Catalogue $catalogue,
        private Household $household,
        private array $chosen,
    ) {
    }

    public static function from(Request $request, Catalogue $catalogue, Household $household): self
    {
        return new self($catalogue, $household, SheetFields::read($request, $catalogue, $household));
    }

    public function input(): PlanInput
    {
        $shelf = $this->catalogue->shelf();
        $new = array_map(fn (string $id): Job => $shelf->jobs[$id], $this->jobs());
        $there = $this->host()->plan->jobs ?? [];
        $plan = new PlanInput(
            jobs: [...$there, ...$new],
            board: $shelf->boards[$this->chosen['board']],
            supply: $shelf->supplies[$this->chosen['supply']],
            cable: $shelf->cables[$this->chosen['cable']],
            drive: $shelf->drives[$this->chosen['drive']] ?? null,
            link: LinkKind::from($this->chosen['link']),
            image: $shelf->images[$this->chosen['image']],
            card: $shelf->cards[$this->chosen['card']],
            case: $shelf->cases[$this->chosen['case']],
            small: $shelf->small,
            circumstances: new Circumstances(
                $this->number('room'),
                $this->number('price'),
                Bytes::giga($this->number('copy')),
                Duty::from($this->chosen['on']),
                $this->number('down'),
                $this->number('up'),
                $this->number('battery'),
                Money::of($this->number('subscription')),
                $this->chosen['client'],
                Bytes::giga($this->number('daily')),
                $this->number('away'),
                $this->number('far'),
                $this->number('relay'),
                $this->number('stream'),
            ),
            hub: array_column($shelf->small->hubs(), null, 'id')[$this->chosen['hub']] ?? null,
            cooling: $shelf->coolings[$this->chosen['cooling']] ?? null,
            addOn: $shelf->addOns[$this->chosen['addon']] ?? null,
            schools: new SchoolChoice([...$this->host()->plan->schools->chosen ?? [], ...$this->schools()]),
            imageFrom: ImageOrigin::from($this->chosen['from']),
            desk: $this->household->desks()->get($this->chosen['desk']),
            along: $this->household->feeds(explode(',', $this->chosen['along'])),
            plugged: array_values(
                array_intersect_key(
                    PlanOfBox::peripherals($this->catalogue->shelf()),
                    array_flip(explode(',', $this->chosen['plugged'])),
                ),
            ),
            startFrom: StartFrom::from($this->chosen['start']),
        );

        return $plan->with(calibration: $this->household->calibration($plan));
    }

    /** The box in service that is to take the jobs as well; null when they get a box of their own. */
    public function host(): ?Host
    {
        return $this->household->host(SheetFields::boxName($this->chosen));
    }

    public function hostBox(): ?Box
    {
        return $this->household->box(SheetFields::boxName($this->chosen));
    }

    /** The jobs are to be a program on the desk computer. */
    public function onDesk(): bool
    {
        return $this->chosen['seat'] === 'desk';
    }

    /** @param  non-empty-list<Seat>  $seats  where the jobs could run; the one that is chosen comes back */
    public function seat(array $seats): Seat
    {
        $host = $this->host();
        foreach ($seats as $seat) {
            $chosen = match (true) {
                $this->onDesk() => $seat->kind === 'desk',
                $host !== null => $seat->kind === 'box' && $seat->label === $host->name,
                default => $seat->kind === 'own',
            };
            if ($chosen) {
                return $seat;
            }
        }

        return $seats[0];
    }

    /** @return non-empty-list<string> ids of the jobs, each once */
    public function jobs(): array
    {
        $jobs = array_filter(
            array_map(fn (string $name): string => $this->chosen[$name], array_keys(SheetFields::JOBS)),
            fn (string $id): bool => $id !== 'none',
        );
        $there = array_map(fn (Job $job): string => $job->id, $this->host()->plan->jobs ?? []);

        /** @var non-empty-list<string> */
        return array_values(array_unique(array_diff($jobs, $there) ?: $jobs));
    }

    /** @return array<string, string> id of a job => id of the school chosen for it */
    public function schools(): array
    {
        $schools = [];
        foreach (SheetFields::JOBS as $job => $school) {
            if ($this->chosen[$job] !== 'none' && $this->chosen[$school] !== '') {
                $schools[$this->chosen[$job]] ??= $this->chosen[$school];
            }
        }

        return $schools;
    }

    /** One of the typed numbers is not the usual one. */
    public function hasOwnNumbers(): bool
    {
        foreach (SheetFields::NUMBERS as $name => [, $usual]) {
            if ((float) $this->get($name) !== (float) $usual) {
                return true;
            }
        }

        return false;
    }

    /** Something is planned beside board, supply, cable, storage, image, case and link. */
    public function hasExtras(): bool
    {
        return [$this->get('hub'), $this->get('cooling'), $this->get('addon')] !== ['none', 'none', 'none'] ||
            $this->get('plugged').$this->get('fed') !== '';
    }

    /** The field that holds the school of a job, or null when the job is the host's own. */
    public function schoolField(Job $job): ?string
    {
        foreach (SheetFields::JOBS as $field => $school) {
            if ($this->chosen[$field] === $job->id) {
                return $school;
            }
        }

        return null;
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
        $taken = $this->chosen;
        foreach ($way->changes as $name => $part) {
            if ($part instanceof SchoolChoice) {
                foreach (SheetFields::JOBS as $job => $school) {
                    $taken[$school] = $part->chosen[$this->chosen[$job]] ?? $taken[$school];
                }
            } else {
                $taken[self::FIELDS[$name] ?? strtolower($name)] = match (true) {
                    $part instanceof BackedEnum => (string) $part->value,
                    is_object($part) && isset($part->id) => (string) $part->id,
                    $name === 'plugged' && is_array($part) => implode(
                        ',',
                        array_map(
                            fn (mixed $one): string => $one instanceof Peripheral ? $one->what : '',
                            $part,
                        ),
                    ),
                    is_array($part) => '',
                    default => 'none',
                };
            }
        }

        return $taken;
    }

    /** @return array<string, mixed> what of it a box keeps */
    public function forBox(): array
    {
        $parts = array_intersect_key(
            $this->chosen,
            array_flip([
                'board',
                'supply',
                'cable',
                'drive',
                'link',
                'image',
                'card',
                'case',
                'hub',
                'cooling',
                'addon',
                'start',
            ]),
        );

        return array_map(fn (string $id): ?string => $id === 'none' ? null : $id, $parts) + [
            'image_from' => $this->chosen['from'],
            'plugged' => $this->chosen['plugged'],
            'fed_by' => $this->chosen['fed'] === '' ? null : $this->chosen['fed'],
            'stage' => Stage::Planned,
        ];
    }

    private function number(string $name): float
    {
        return (float) $this->chosen[$name];
    }
}
