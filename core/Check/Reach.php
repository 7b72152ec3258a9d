<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * What the furniture owes the things on the faces of the space: sockets and valves stay reachable, vents and windows
 * uncovered, heat at its distance; and nothing stands where something is already.
 */
final readonly class Reach
{
    /** A wall counts as covered up to this far from the furniture's back, mm. */
    private const BEHIND = 200.0;

    /** Air under a vent in the ceiling, mm. */
    private const AIR = 200.0;

    private ThingPlace $places;

    /** @param list<string> $openings things for which an opening is cut */
    public function __construct(private FittedRun $run, private Terms $terms, private array $openings)
    {
        $this->places = new ThingPlace($terms->room, $run->frame);
    }

    /** @return list<Finding> */
    public function findings(Assembly $assembly): array
    {
        $findings = [];
        foreach ($this->terms->room->things as $thing) {
            if (! $thing->isInTheWay()) {
                continue;
            }
            $block = $this->places->block($thing);
            foreach ($this->cells() as $cell) {
                $finding = $this->ofCell($thing, $block, $cell, $assembly);
                if ($finding !== null) {
                    $findings[] = $finding;
                    break;
                }
            }
        }

        return $findings;
    }

    /** @return list<FittedCell> cells in which something is built */
    private function cells(): array
    {
        return array_values(array_filter($this->run->cells, fn (FittedCell $cell) => $cell->tier->isBuilt()));
    }

    private function ofCell(Thing $thing, Block $block, FittedCell $cell, Assembly $assembly): ?Finding
    {
        $stands = $this->around($cell, $assembly);
        $over = $thing->face === Face::Ceiling && $thing->rule === ThingRule::Uncovered ? self::AIR : 0.0;
        $before = new Block($stands->u0, $stands->u1, min(0.0, $stands->v0 - self::BEHIND), $stands->v1, $stands->z0, $stands->z1 + $over);
        $covers = $before->meets($block);

        return match ($thing->rule) {
            // Pieces keep the clearance of what they are cut around.
            ThingRule::Clearance => $thing->kind->isCutAround() ? $this->inTheWay($thing, $block, $cell, $stands, $assembly) : $this->tooNear($thing, $block, $cell, $stands),
            ThingRule::Uncovered => $covers && ! $this->breathes($thing, $cell, $assembly) ? $this->covered($thing, $block, $cell, $before) : null,
            ThingRule::Reachable => $covers ? $this->reachable($thing, $block, $cell, $before, $assembly) : null,
            default => $this->inTheWay($thing, $block, $cell, $stands, $assembly),
        };
    }

    /** The whole box that a cell belongs to stands there, not its opening alone; of what has no box, what is built. */
    private function around(FittedCell $cell, Assembly $assembly): Block
    {
        $built = $cell->boxId !== null ? [] : array_values(array_filter($assembly->placed, fn (Placed $placed) => $placed->owner === $cell->tier->id));
        $block = $built === [] ? $cell->block() : array_reduce(array_slice($built, 1), fn (Block $all, Placed $one): Block => $all->and($one->bounds), $built[0]->bounds);
        $box = $cell->boxId === null ? null : $this->run->box($cell->boxId);
        $t = $this->terms->board();

        return $box === null || $box->hasOneCell() ? $block
            : new Block($block->u0 - $t, $block->u1 + $t, $block->v0, $block->v1, $block->z0 - $t, $block->z1 + $t);
    }

    private function tooNear(Thing $thing, Block $block, FittedCell $cell, Block $stands): ?Finding
    {
        $near = $block->grown($thing->clearance)->depth($stands);
        if ($near <= 0.5) {
            return null;
        }

        return $this->clash(Code::Clearance, sprintf('%s stands %s too near to %s, which keeps %s.', $this->name($cell), $this->terms->write(min($near, $thing->clearance)), lcfirst($thing->name), $this->terms->write($thing->clearance)), $thing, $cell);
    }

    private function covered(Thing $thing, Block $block, FittedCell $cell, Block $before): Finding
    {
        $overlap = $before->overlap($block);
        $code = match ($thing->kind) {
            ThingKind::Vent => Code::VentClosed,
            ThingKind::Window, ThingKind::Hatch => Code::EscapeCovered,
            default => Code::Covered,
        };
        $why = match ($code) {
            Code::VentClosed => 'its air path would be closed',
            Code::EscapeCovered => 'it may be an escape route',
            default => 'it stays uncovered',
        };

        return $this->clash($code, sprintf('%s covers %s by %s × %s: %s.', $this->name($cell), lcfirst($thing->name), $this->terms->write($overlap[0]), $this->terms->write($overlap[2]), $why), $thing, $cell, $this->below($thing, $block));
    }

    /** Whether the top under a vent in the ceiling is cut for its air: the check of the whole looks at the way that this takes. */
    private function breathes(Thing $thing, FittedCell $cell, Assembly $assembly): bool
    {
        return $thing->isCeilingVent() && array_filter($assembly->placed, fn (Placed $placed) => $placed->owner === ($cell->boxId ?? $cell->tier->id) && $placed->piece->isCutFor($thing->id)) !== [];
    }

    /** @return list<WayOut> the run ends so far under a vent in the ceiling that its air has a way */
    private function below(Thing $thing, Block $block): array
    {
        $foot = min([INF, ...array_map(fn (FittedCell $cell) => $cell->z, $this->run->cells)]);
        $height = Length::ofDouble(max(0.0, $block->z0 - self::AIR - $foot))->roundedDown($this->terms->format->step);

        return ! $thing->isCeilingVent() || $height->toDouble() < self::BEHIND ? []
            : [...(in_array($thing->id, $this->openings, true) ? [] : [new WayOut('Cut the top around it', Edits::opening($thing->id))]), new WayOut(sprintf('End the run %s under it', $this->terms->write(self::AIR)), Edits::run($this->run->run->id)->measuring('height', $height))];
    }

    private function reachable(Thing $thing, Block $block, FittedCell $cell, Block $before, Assembly $assembly): ?Finding
    {
        if (! in_array($thing->id, $this->openings, true) && ! $thing->kind->isCutAround()) {
            $overlap = $before->overlap($block);
            $code = $thing->kind === ThingKind::JunctionBox ? Code::Buried : Code::SocketCovered;

            return $this->clash($code, sprintf('%s would be buried behind %s, %s × %s of it: it stays where a hand can reach it.', ucfirst($thing->name), lcfirst($this->name($cell)), $this->terms->write($overlap[0]), $this->terms->write($overlap[2])), $thing, $cell, [
                new WayOut('Cut an opening for it in the back', Edits::opening($thing->id)),
            ]);
        }
        $deep = $cell->face - $block->v1;
        if ($deep > $this->terms->rule(Rule::Reach)) {
            return $this->clash(Code::OutOfReach, sprintf('%s lies %s deep in %s; a hand reaches %s.', ucfirst($thing->name), $this->terms->write($deep), lcfirst($this->name($cell)), $this->terms->write($this->terms->rule(Rule::Reach))), $thing, $cell, [
                new WayOut(sprintf('Make the run %s deep', $this->terms->format->write($this->terms->rules->get(Rule::Reach))), Edits::run($this->run->run->id)->measuring('depth', $this->terms->rules->get(Rule::Reach))),
            ]);
        }
        $board = $this->boardAcross($block, $cell, $assembly);

        return $board === null ? null : $this->clash(Code::BoardAcross, sprintf('The %s of box %s runs across %s: a hand cannot reach it.', lcfirst($board->piece->name), $this->mark($cell), lcfirst($thing->name)), $thing, $cell, [
            ...(new PastThing($this->run, $this->terms))->ways($board, $block, $cell),
            ...array_filter([$cell->tier->holds instanceof HoldsOpening ? $cell->tier->holds->cleared($cell->tier->id) : null]),
        ]);
    }

    /** A board that hides part of a thing from the front. */
    private function boardAcross(Block $block, FittedCell $cell, Assembly $assembly): ?Placed
    {
        $seen = new Block($block->u0, $block->u1, $block->v0, $cell->face + 1.0, $block->z0, $block->z1);
        foreach ($assembly->placed as $placed) {
            if ($placed->owner === $cell->boxId && in_array($placed->part, [Part::Body, Part::Loose, Part::Nailer], true) && $placed->bounds->meets($seen, 1.0)) {
                return $placed;
            }
        }

        return null;
    }

    /** Something that stays and that no piece was cut around. */
    private function inTheWay(Thing $thing, Block $block, FittedCell $cell, Block $stands, Assembly $assembly): ?Finding
    {
        $overlap = $stands->depth($block);
        if ($thing->standsOut <= 0.0 || $overlap <= 1.0) {
            return null;
        }
        if ($thing->kind->isCutAround()) {
            $clearance = $this->places->clearance($thing, $this->terms->rules, false);
            $hit = $this->hit($thing, $block->grown($clearance), $cell, $assembly);
            if ($hit !== [] && array_filter($hit, fn (Placed $placed) => $placed->part !== Part::Loose) === []) {
                return $this->splits($thing, $block->v1 + $clearance, $cell, $hit[0]);
            }
            if (array_filter($hit, fn (Placed $placed) => $placed->bounds->meets($block, 1.0)) === []) {
                return null;
            }
        }

        return $this->clash(Code::InTheWay, sprintf('%s stands in the way of %s: %s too much.', ucfirst($thing->name), lcfirst($this->name($cell)), $this->terms->write($overlap)), $thing, $cell);
    }

    /** A shelf of which a notch would leave too little in front; the furniture fits without it. */
    private function splits(Thing $thing, float $notch, FittedCell $cell, Placed $shelf): Finding
    {
        $left = $this->terms->write(max(0.0, $shelf->bounds->v1 - $notch));

        return $this->clash(Code::NotchSplits, sprintf('Of %s only %s would be left before %s.', $shelf->piece->mark, $left, lcfirst($thing->name)), $thing, $cell, array_filter([
            $cell->tier->holds instanceof HoldsOpening ? $cell->tier->holds->cleared($cell->tier->id) : null,
        ]));
    }

    /** @return list<Placed> what still stands where a thing does, though pieces are cut around it */
    private function hit(Thing $thing, Block $block, FittedCell $cell, Assembly $assembly): array
    {
        return array_values(array_filter($assembly->placed, fn (Placed $placed) => ($placed->owner === $cell->boxId || $placed->owner === $cell->tier->id) && $placed->bounds->meets($block, 1.0) && ! $placed->piece->isCutFor($thing->id)));
    }

    private function mark(FittedCell $cell): string
    {
        return $cell->boxId === null ? $cell->label() : $this->run->box($cell->boxId)->mark ?? '';
    }

    private function name(FittedCell $cell): string
    {
        return $cell->boxId === null ? $cell->label() : 'Box '.$this->mark($cell);
    }

    /** @param list<WayOut> $ways */
    private function clash(Code $code, string $sentence, Thing $thing, FittedCell $cell, array $ways = []): Finding
    {
        $ways[] = new WayOut('Leave an open gap there', Edits::tier($cell->tier->id)->emptied());
        array_push($ways, ...$thing->removal());

        return Finding::clash($code, $sentence, $cell->tier->id)->about([$thing->id, ...($cell->boxId === null ? [] : [$cell->boxId])])->withWaysOut($ways);
    }
}
