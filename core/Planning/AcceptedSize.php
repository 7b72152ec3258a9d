<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Measure\Length;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Severity;
use Incastro\Saw\AsCut;

/**
 * Changes the furniture so that a piece that was cut to another size is right as it is: the size that its length or width decides (the
 * width, height or depth of its box) follows it, and everything uncut follows that. A change is found when it was planned with: nothing
 * clashes that did not before, and no piece that is cut already would have to grow.
 */
final readonly class AcceptedSize
{
    /** What the sizes of a piece decide, by the sort of the piece. A mapping of two: its length, its width. */
    private const DECIDES = [
        'board' => ['width', 'depth'],
        'nailer' => ['width', null],
        'side' => ['height', 'depth'],
    ];

    public function __construct(private Planner $planner, private Job $job, private SpacePlan $plan)
    {
    }

    /**
     * @param  string  $dimension  `length` or `width`
     * @param  array<string, true>  $cut  marks of the pieces that are cut, this one among them
     * @return array{edit: Edit, changes: list<string>}|null what to change, and every piece whose size that changes
     */
    public function of(Piece $piece, string $dimension, Length $asCut, array $cut): ?array
    {
        $decides = $piece->purpose === Purpose::Carcass ? (self::DECIDES[AsCut::sort($piece)] ?? [null, null])[$dimension === 'length' ? 0 : 1] : null;
        $planned = $piece->size($dimension)->result;
        foreach ($decides === null ? [] : $this->edits($piece, $decides, $asCut->minus($planned)) as $edit) {
            $after = $this->with($edit);
            $changes = $after === null ? null : $this->changes($after, $piece, $dimension, $asCut, $cut);
            if ($changes !== null) {
                return ['edit' => $edit, 'changes' => $changes];
            }
        }

        return null;
    }

    /** @return list<Edit> to be tried one after another */
    private function edits(Piece $piece, string $decides, Length $more): array
    {
        [$run, $box] = $this->owner($piece);
        if ($run === null || $box === null) {
            return [];
        }
        $last = $box->columns[count($box->columns) - 1];
        $top = $last->openings[count($last->openings) - 1];
        $openings = array_sum(array_map(fn ($column) => count($column->openings), $box->columns));

        return match ($decides) {
            // The other boxes stay and what closes the run takes it up, or else they take it up between them.
            'width' => [$this->fixed($run, $last->bayId, $more), Edits::bay($last->bayId)->measuring('size', $this->width($run, $last->bayId)->plus($more))],
            'height' => [Edits::tier($top->tierId)->measuring('size', (count($last->openings) === 1 ? $box->height : $top->height)->result->plus($more))],
            default => [...$openings === 1 ? [Edits::tier($top->tierId)->measuring('depth', $box->depth->result->plus($more))] : [], Edits::run($run->run->id)->measuring('depth', $run->depth->result->plus($more))],
        };
    }

    /** All bays of a run as they are, one of them wider. */
    private function fixed(FittedRun $run, string $bay, Length $more): Edit
    {
        $sizes = [];
        foreach ($run->run->bays as $one) {
            $sizes[$one->id] = ($one->id === $bay ? $this->width($run, $one->id)->plus($more) : $this->width($run, $one->id))->nanometres();
        }

        return Edits::action('size-bays', $bay, "as-cut-$bay", ['sizes' => $sizes]);
    }

    /** The number of a bay: the outer size of one that is a box by itself, the clear opening of one that shares boards. */
    private function width(FittedRun $run, string $bay): Length
    {
        foreach ($run->boxes as $box) {
            foreach ($box->columns as $column) {
                if ($column->bayId === $bay) {
                    return (count($box->columns) === 1 ? $box->width : $column->width)->result;
                }
            }
        }
        foreach ($run->bays as $one) {
            if ($one->bay->id === $bay) {
                return $one->width->result;
            }
        }

        throw new \OutOfBoundsException(sprintf('The run has no bay “%s”.', $bay));
    }

    /** @return array{?FittedRun, ?Box} of a piece that belongs to a box */
    private function owner(Piece $piece): array
    {
        foreach ($this->plan->layout->runs ?? [] as $r => $run) {
            foreach ($this->plan->assemblies[$r]->placed as $placed) {
                if ($placed->piece->key === $piece->key) {
                    foreach ($run->boxes as $box) {
                        if ($box->id === $placed->owner) {
                            return [$run, $box];
                        }
                    }
                }
            }
        }

        return [null, null];
    }

    private function with(Edit $edit): ?SpacePlan
    {
        $space = $this->plan->space;
        try {
            [$choices] = SpaceChoices::apply($space->choices, $edit, $this->job->format, $this->job->materials->carcass->thickness);
        } catch (InvalidChoice) {
            return null;
        }

        return $this->planner->space($this->job, $space->choosing(LayoutReader::read($choices['layout'], $this->job->rules), $space->things, $choices));
    }

    /**
     * @param  array<string, true>  $cut
     * @return list<string>|null null where it cannot be done so
     */
    private function changes(SpacePlan $after, Piece $piece, string $dimension, Length $asCut, array $cut): ?array
    {
        $clashes = fn (SpacePlan $plan): int => count(array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $new = array_column(array_map(fn (Piece $one) => [$one->key, $one], $after->pieces()), 1, 0);
        if ($clashes($after) > $clashes($this->plan) || ! isset($new[$piece->key])) {
            return null;
        }
        $is = $new[$piece->key]->size($dimension)->result;
        [$least, $most] = AsCut::band(AsCut::sort($piece), $dimension, $is->nanometres());
        if ($asCut->nanometres() < $least || $asCut->nanometres() > $most) {
            return null;
        }
        $changes = [];
        foreach ($this->plan->pieces() as $was) {
            $now = $new[$was->key] ?? null;
            $isCut = isset($cut[$was->mark]);
            if ($now === null) {
                if ($isCut) {
                    return null;
                }
                $changes[] = "$was->mark falls away";
                continue;
            }
            foreach (['length', 'width'] as $of) {
                [$before, $then] = [$was->size($of)->result, $now->size($of)->result];
                if ($before->isEqualTo($then) || $was->key === $piece->key && $of === $dimension) {
                    continue;
                }
                if ($isCut && $then->isGreaterThan($before)) {
                    return null;
                }
                $changes[] = sprintf('%s: %s %s → %s%s', $was->mark, $of, $this->job->format->write($before), $this->job->format->write($then), $isCut ? ', one more cut' : '');
            }
        }

        return $changes;
    }
}
