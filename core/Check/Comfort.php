<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;

/** Whether what is left free has the room that it is left free for, and what a run that asks for more than it has could give up. */
final readonly class Comfort
{
    /** Room that is short by no more than this is enough, mm. */
    private const TOUCH = 0.5;

    /** A floor that falls by no more than this under a box is level, mm. */
    private const LEVEL = 3.0;

    public function __construct(private FittedRun $run, private Terms $terms)
    {
    }

    /** @return list<Finding> cells that give less than what they are left free for needs */
    public function findings(): array
    {
        $findings = [];
        foreach ($this->run->cells as $cell) {
            // What is built and cannot be made was said where it was fitted.
            foreach ($cell->tier->isBuilt() ? [] : $cell->lacks($this->terms) as $axis => [$extent, $has]) {
                if ($extent->short($has) > self::TOUCH) {
                    $findings[] = $this->lacking($cell, $axis, $extent, $has);
                }
            }
        }

        return [...$findings, ...array_merge(...array_map($this->standing(...), array_filter($this->run->boxes, fn (Box $box) => $box->isBottomless())))];
    }

    /**
     * A box without a bottom stands on its sides: on a floor that is level there, and on nothing that it would show.
     *
     * @return list<Finding>
     */
    private function standing(Box $box): array
    {
        $ways = [new WayOut('Give it a bottom', Edits::withoutOption($box->optionId(LeavesBottomOut::class)))];
        foreach ($this->run->under() as $under) {
            if ($under->u < $box->right() - 1.0 && $under->end() > $box->u + 1.0 && $box->z > self::TOUCH) {
                return [Finding::warning(Code::FootGap, sprintf('Box %s has no bottom and stands on a plinth: what stands in it stands on the floor, between the bearers.', $box->mark), $box->id)->withWaysOut([...$ways, new WayOut('Take the plinth away', Edits::withoutMember($under->id))])];
            }
        }
        $floor = array_merge(...array_map(fn (float $v) => array_map(fn (float $u) => $this->run->frame->floorAt($u, $v), [$box->u, $box->right()]), [$box->v, $box->face()]));
        $falls = $box->z > self::TOUCH ? 0.0 : max($floor) - min($floor);

        return $falls <= self::LEVEL ? [] : [Finding::warning(Code::FootGap, sprintf('Under box %s the floor falls by %s, and its sides stand on it: pack the lower ones, or cut the higher ones to it.', $box->mark, $this->terms->write($falls)), $box->id)->withWaysOut($ways)];
    }

    /** @param 'width'|'height'|'depth' $axis */
    private function lacking(FittedCell $cell, string $axis, Extent $extent, float $has): Finding
    {
        [$word, $part, $field] = match ($axis) {
            'width' => ['wide', Edits::bay($cell->bayId), 'size'],
            'height' => ['high', Edits::tier($cell->tier->id), 'size'],
            'depth' => ['deep', Edits::run($this->run->run->id), 'depth'],
        };
        $wanted = $this->terms->format->write($extent->least);
        // Its own height, without what lies under it.
        $given = $axis === 'height' ? $extent->least->minus(Length::ofDouble($has - min($cell->left, $cell->right))) : $extent->least;

        return Finding::clash($extent->code, sprintf('The %s is %s %s; %s.', lcfirst($cell->label()), $this->terms->write($has), $word, sprintf($extent->why, $wanted)), $cell->tier->id)
            ->about([$cell->bayId])
            ->withWaysOut([new WayOut("Make it $wanted $word", $part->measuring($field, $given)), new WayOut('Leave an open gap instead', Edits::tier($cell->tier->id)->emptied())]);
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
        $ways = $cell === null || $cell->tier->isBoxed() ? [] : [new WayOut('Leave an open gap instead', Edits::tier($finding->place)->emptied())];
        $ways[] = new WayOut('Join the tier with its neighbour', Edits::action('remove-tier', $finding->place, "remove-$finding->place"));
        foreach ($finding->related as $bay) {
            $ways[] = new WayOut('Join the bay with its neighbour', Edits::action('remove-bay', $bay, "remove-$bay"));
            $ways[] = new WayOut('Let it share what is left', Edits::bay($bay)->with('size', null));
        }
        $ways[] = new WayOut('Let the tier share what is left', Edits::tier($finding->place)->with('size', null));

        return count($this->run->run->bays) > 1 ? $ways : [...$ways, Meetings::withoutRun($this->run)];
    }
}
