<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * What would be closed in behind something that lies on a wall: vents, windows and hatches stay uncovered, and what a hand reaches is not
 * buried, also where boards stand well before it.
 */
final readonly class BehindSurfaces
{
    /** So much of a thing may be covered, mm²: its rim. */
    private const RIM = 100.0;

    public function __construct(private Terms $terms)
    {
    }

    /** @return list<Finding> */
    public function findings(FittedSurface $surface, Assembly $built): array
    {
        $findings = [];
        $places = new ThingPlace($this->terms->room, $surface->frame);
        foreach ($this->terms->room->things as $thing) {
            $isAsked = $thing->rule === ThingRule::Uncovered || ($thing->rule === ThingRule::Reachable && ! $surface->surface->holds instanceof ComesOff);
            if (! $isAsked || ! $thing->isInTheWay() || $thing->wall !== $surface->frame->wall) {
                continue;
            }
            $block = $places->block($thing);
            foreach ($built->placed as $placed) {
                if (! in_array($placed->part, [Part::Loose, Part::Cleat], true) && $this->covers($placed, $block)) {
                    $findings[] = $this->closed($thing, $surface);
                    break;
                }
            }
        }

        return $findings;
    }

    /** Whether wood lies before it, seen from the room. */
    private function covers(Placed $placed, Block $block): bool
    {
        if (! $placed->bounds->meets(new Block($block->u0, $block->u1, $block->v0, INF, $block->z0, $block->z1), 0.0)) {
            return false;
        }
        if (! $placed->pose->isSquare() || abs($placed->pose->thickness->y) < 0.5) {
            // On edge, its own section is what is seen of it.
            return (min($placed->bounds->u1, $block->u1) - max($placed->bounds->u0, $block->u0)) * (min($placed->bounds->z1, $block->z1) - max($placed->bounds->z0, $block->z0)) > self::RIM;
        }
        $left = $placed->piece->outline->minus($placed->facing($block));

        return $placed->piece->outline->area() - array_sum(array_map(fn (Outline $one): float => $one->area(), $left)) > self::RIM;
    }

    private function closed(Thing $thing, FittedSurface $surface): Finding
    {
        [$code, $why] = match (true) {
            $thing->kind === ThingKind::Vent => [Code::VentClosed, 'its air path would be closed'],
            $thing->kind === ThingKind::Window, $thing->kind === ThingKind::Hatch => [Code::EscapeCovered, 'it may be an escape route'],
            $thing->rule === ThingRule::Reachable && in_array($thing->kind, [ThingKind::Valve, ThingKind::Trap], true) => [Code::ValveBehindFace, 'a hand could not turn it'],
            $thing->kind === ThingKind::JunctionBox => [Code::Buried, 'it stays where a hand can reach it'],
            $thing->rule === ThingRule::Reachable => [Code::SocketCovered, 'it stays where a hand can reach it'],
            default => [Code::Covered, 'it stays uncovered'],
        };

        return Finding::clash($code, sprintf('%s would be behind %s: %s.', ucfirst($thing->name), $surface->mark, $why), $surface->surface->id)->about([$thing->id])
            ->withWaysOut([new WayOut('Cut an opening for it', Edits::opening($thing->id)), new WayOut('Take it away', Edits::withoutSurface($surface->surface->id)), ...$thing->removal()]);
    }
}
