<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Rules\Parameters\Blueprint;

/**
 * Fits a whole layout into the room as found, run after run. Where two runs meet round a corner, one goes through and the
 * other stops at its face; or both stop, and the corner between their faces is left open as a bay of its own.
 */
final readonly class LayoutFitter
{
    public function __construct(private Terms $terms)
    {
    }

    public function fit(Layout $layout, Marks $marks): FittedLayout
    {
        $surfaces = $this->surfaces($layout, $marks);
        $runs = $this->fitted($layout, $marks, $surfaces, []);
        $corners = $this->corners($runs);

        // How far each stands out is known then, and with it where the others stop.
        return new FittedLayout($corners === [] ? $runs : $this->fitted($layout, $marks, $surfaces, $corners), array_values($surfaces));
    }

    /** @return array<string, FittedSurface> by id; what lies on another one comes after it */
    private function surfaces(Layout $layout, Marks $marks): array
    {
        $fitter = new SurfaceFitter($this->terms);
        $surfaces = [];
        foreach ($layout->surfaces as $surface) {
            $fitted = $fitter->fit($surface, $marks->of(Blueprint::of($surface->holds::class)->about->mark ?? 'C', $surface->id), $surfaces[$surface->of] ?? null, FacesMet::all($surfaces));
            $surfaces += $fitted === null ? [] : [$surface->id => $fitted];
        }

        return $surfaces;
    }

    /**
     * @param  array<string, FittedSurface>  $surfaces
     * @param  array<string, array{left?: FittedRun, right?: FittedRun}>  $corners  by run
     * @return list<FittedRun>
     */
    private function fitted(Layout $layout, Marks $marks, array $surfaces, array $corners): array
    {
        $runs = [];
        foreach ($layout->runs as $run) {
            if ($run->bays !== []) {
                $runs[] = (new RunFitter($this->terms, $layout, $run, $runs, $surfaces, $corners[$run->id] ?? [], $marks))->fit();
            }
        }

        return $runs;
    }

    /**
     * Ends at a corner bay, and those that stop at a run which is fitted after them.
     *
     * @param  list<FittedRun>  $runs
     * @return array<string, array{left?: FittedRun, right?: FittedRun}> by run
     */
    private function corners(array $runs): array
    {
        $corners = [];
        foreach ($runs as $r => $run) {
            foreach ($runs as $o => $other) {
                $isLeft = $this->terms->room->shape->after($run->run->wall) === $other->run->wall;
                if ($other->isOpen() || (! $isLeft && $this->terms->room->shape->before($run->run->wall) !== $other->run->wall) || ! $run->frame->turnsOff($other->run->wall)) {
                    continue;
                }
                // The left end of one meets the right end of the other.
                [$own, $its] = $isLeft ? [$run->run->left, $other->run->right] : [$run->run->right, $other->run->left];
                if ($own === RunEnd::Corner || $its === RunEnd::Corner || ($o > $r && $own === RunEnd::Stops && $its === RunEnd::Through)) {
                    $corners[$run->run->id][$isLeft ? 'left' : 'right'] = $other;
                }
            }
        }

        return $corners;
    }
}
