<?php

declare(strict_types=1);

namespace Burrow\Plan\Money;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanFindings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Money;

/** When the parts are paid by the subscription that ends. */
final readonly class PayBack implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan, private Money $subscription)
    {
    }

    /** Null when nothing is to be replaced. */
    public static function of(PlanInput $plan): ?self
    {
        $subscription = $plan->circumstances->subscription;

        return $subscription === null || $subscription->cents === 0 ? null : new self($plan, $subscription);
    }

    /** Months; null when running it costs as much as the subscription. */
    public function months(): ?float
    {
        $saved = $this->savedAMonth();

        return $saved <= 0 ? null : PartsList::of($this->plan)->total()->cents / $saved;
    }

    public function finding(): Finding
    {
        $months = $this->months();

        return $months === null ? PlanFindings::neverPays() : PlanFindings::paysBack($months);
    }

    public function working(): Working
    {
        $running = RunningCost::of($this->plan)->perYear();
        $total = PartsList::of($this->plan)->total();

        return Working::of(
            'plan.pay_back',
            'Months until it is paid back',
            $this->months() === null ? 'never' : (string) (int) ceil($this->months()),
            Source::commonPractice(),
            Line::given('parts', (string) $total),
            Line::computed(
                'saved a month',
                "{$this->subscription} − {$running} ÷ 12",
                number_format($this->savedAMonth() / 100, 2, '.', ''),
            ),
            Line::computed(
                'months',
                "{$total} ÷ ".number_format($this->savedAMonth() / 100, 2, '.', ''),
                $this->months() === null ? 'never' : number_format($this->months(), 1, '.', ''),
            ),
        );
    }

    private function savedAMonth(): float
    {
        return $this->subscription->cents - RunningCost::of($this->plan)->perYear()->cents / 12;
    }

    public function judge(): Findings
    {
        return Findings::of($this->finding());
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'pay_back_months' => $this->months() === null ? null : round($this->months(), 2),
        ];
    }

    public static function names(): array
    {
        return ['pay_back_months'];
    }
}
