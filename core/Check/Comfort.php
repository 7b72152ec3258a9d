<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;

/** Whether a person's knees have room, and what a run that asks for more than it has could give up. */
final readonly class Comfort
{
    public function __construct(private FittedRun $run, private Terms $terms)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $findings = [];
        foreach ($this->run->cells as $cell) {
            if ($cell->tier->unit === UnitKind::Knee) {
                array_push($findings, ...$this->knees($cell));
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function knees(FittedCell $cell): array
    {
        $has = [
            [Rule::KneeWidth, Code::KneesWide, $cell->end() - $cell->u, 'wide', Edits::bay($cell->bayId), 'size'],
            [Rule::KneeHeight, Code::KneesHigh, $cell->z + min($cell->left, $cell->right), 'high', Edits::tier($cell->tier->id), 'size'],
            [Rule::KneeDepth, Code::KneesDeep, $cell->face - $cell->back, 'deep', Edits::run($this->run->run->id), 'depth'],
        ];
        $findings = [];
        foreach ($has as [$rule, $code, $size, $word, $part, $field]) {
            $wanted = $this->terms->rules->get($rule);
            $short = $wanted->toDouble() - $size;
            if ($short > 0.5) {
                $given = $rule === Rule::KneeHeight ? $wanted->minus(Length::ofDouble($cell->z)) : $wanted;
                $findings[] = Finding::clash($code, sprintf('The knee space is %s %s; knees need %s.', $this->terms->write($size), $word, $this->terms->format->write($wanted)), $cell->tier->id)
                    ->about([$cell->bayId])
                    ->withWaysOut([new WayOut(sprintf('Make it %s %s', $this->terms->format->write($wanted), $word), $part->measuring($field, $given)), new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->with('unit', 'open'))]);
            }
        }

        return $findings;
    }

    /**
     * Ways out for what the division of a run found.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public function withWaysOut(array $findings): array
    {
        return array_map(fn (Finding $finding) => $finding->waysOut !== [] ? $finding : $finding->withWaysOut(match ($finding->code) {
            Code::RunOverfull => $this->letBaysShare(),
            Code::BayOverfull => $this->letTiersShare($finding->place),
            Code::RunDepth => [new WayOut('As deep as goes', Edits::run($finding->place)->with('depth', null))],
            Code::TooThin => $this->joined($finding),
            default => [],
        }), $findings);
    }

    /** @return list<WayOut> */
    private function letBaysShare(): array
    {
        $ways = [];
        foreach ($this->run->run->bays as $i => $bay) {
            if ($bay->size->fixed !== null) {
                $ways[] = new WayOut(sprintf('Let bay %d take what is left', $i + 1), Edits::bay($bay->id)->with('size', null));
            }
        }
        $last = $this->run->run->bays[count($this->run->run->bays) - 1];
        $ways[] = new WayOut('Join the last bay with its neighbour', Edits::action('remove-bay', $last->id, "remove-$last->id"));

        return $ways;
    }

    /** @return list<WayOut> */
    private function letTiersShare(string $bayId): array
    {
        $ways = [];
        foreach ($this->run->run->bays as $bay) {
            foreach ($bay->id === $bayId ? $bay->tiers : [] as $i => $tier) {
                if ($tier->size->fixed !== null) {
                    $ways[] = new WayOut(sprintf('Let tier %d take what is left', $i + 1), Edits::tier($tier->id)->with('size', null));
                }
            }
            if ($bay->id === $bayId) {
                $last = $bay->tiers[count($bay->tiers) - 1];
                $ways[] = new WayOut('Join the top tier with the one below', Edits::action('remove-tier', $last->id, "remove-$last->id"));
            }
        }

        return $ways;
    }

    /** @return list<WayOut> */
    private function joined(Finding $finding): array
    {
        $cell = $this->run->cell($finding->place);
        $ways = $cell === null || $cell->tier->unit === UnitKind::Box ? [] : [new WayOut('Leave an open gap instead', Edits::tier($finding->place)->with('unit', UnitKind::Open->value))];
        $ways[] = new WayOut('Join the tier with its neighbour', Edits::action('remove-tier', $finding->place, "remove-$finding->place"));
        foreach ($finding->related as $bay) {
            $ways[] = new WayOut('Join the bay with its neighbour', Edits::action('remove-bay', $bay, "remove-$bay"));
            $ways[] = new WayOut('Let it share what is left', Edits::bay($bay)->with('size', null));
        }
        $ways[] = new WayOut('Let the tier share what is left', Edits::tier($finding->place)->with('size', null));

        return count($this->run->run->bays) > 1 ? $ways : [...$ways, Meetings::withoutRun($this->run)];
    }
}
