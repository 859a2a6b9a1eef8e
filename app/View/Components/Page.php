<?php

declare(strict_types=1);

namespace App\View\Components;

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\House\Tour;
use App\Models\Run;
use Burrow\BringUp\Countdown;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\View\Component;

/** The frame of every page: rail, header with the run in progress, theme. */
final class Page extends Component
{
    public readonly string $theme;

    public readonly ?Run $run;

    public readonly ?Countdown $countdown;

    public readonly int $stepNumber;

    public readonly ?Tour $tour;

    public function __construct(
        Request $request,
        Playbooks $playbooks,
        public string $title,
        public string $place = '',
        public string $script = '',
        ?Run $own = null,
    ) {
        $this->tour = $request->hasSession() ? Tour::now($request->session()) : null;
        $theme = $request->cookie('theme');
        $this->theme = in_array($theme, ['chalk', 'den'], true) ? $theme : '';
        // A run's own page shows that run, with what it has loaded of it already.
        $this->run = $own !== null && $own->finished_at === null ? $own : Run::inProgress();
        $step = $this->run === $own ? $own?->current() : $this->run?->nextStep();
        $this->stepNumber = ($step->position ?? 0) + 1;
        // Only what was begun has a countdown; without one no page has to read a playbook for its head.
        $this->countdown =
            $this->run === null || $step?->began_at === null
                ? null
                : (new RunBook($this->run->loadMissing(['box.network', 'steps']), $playbooks))
                    ->times()
                    ->countdown($step);
    }

    public function render(): View
    {
        return view('components.page');
    }
}
