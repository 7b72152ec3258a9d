<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\StandsBought;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Placed;

/**
 * Sockets and switches behind the back of a box, or behind boards on a wall, that an opening is cut for: brought forward with a box extender, as deep as the
 * front of that stands before the wall, their plates lie on it, and the hole for that is smaller than a plate.
 */
final readonly class Outlets
{
    /** A plate laps its hole by so much on every side, mm and inches. */
    private const LAPS = [4.0, 5 / 32];

    /** An extender deeper than this is a box moved by an electrician, mm and inches. */
    private const DEEPEST = [40.0, 1.5];

    private ThingPlace $places;

    /** @param list<string> $openings things for which an opening is cut */
    public function __construct(private RunFrame $frame, private Terms $terms, private array $openings)
    {
        $this->places = new ThingPlace($terms->room, $frame);
    }

    public function behindBoxes(FittedRun $run): Assembly
    {
        $all = [];
        foreach ($this->opened() as $thing) {
            foreach ($run->boxes as $box) {
                $block = $this->places->block($thing);
                $isBehind = $block->u0 > $box->u && $block->u1 < $box->right() && $block->z0 > $box->z && $block->z1 < $box->highest();
                if ($isBehind && ! $box->has(StandsBought::class)) {
                    [$u, $z] = [($block->u0 + $block->u1) / 2, ($block->z0 + $block->z1) / 2];
                    $off = Length::ofDouble(max(0.0, $box->v - min(max(0.0, $block->v0), $this->frame->backAt($u, $z))));
                    $spacer = Working::start('the box off the wall there', $off)->plus('its back', (new Behind($box, $this->terms))->inner)->roundedUp($this->terms->format);
                    $all[] = $this->brought($thing, 'the back of '.$box->mark, $spacer, 'sockets behind backs', $box->id, new WayOut('Leave an open gap there', Edits::tier($box->id)->emptied()));
                }
            }
        }

        return Assembly::all(...$all);
    }

    /** Those behind boards on a wall, or on what is framed before it, that are cut for them. */
    public function behindBoards(FittedSurface $surface, Assembly $built): Assembly
    {
        $all = [];
        foreach ($this->opened() as $thing) {
            $cut = array_filter($built->placed, fn (Placed $placed) => $placed->piece->isCutFor($thing->id));
            if ($thing->wall === $this->frame->wall && $cut !== []) {
                $front = max(array_map(fn (Placed $placed) => $placed->bounds->v1, $cut));
                $spacer = Working::start('from the wall to the face of the boards', Length::ofDouble(max(0.0, $front - max(0.0, $this->places->block($thing)->v0))))->roundedUp($this->terms->format);
                $all[] = $this->brought($thing, $surface->mark, $spacer, 'sockets behind boards', $surface->surface->id, new WayOut('Take it away', Edits::withoutSurface($surface->surface->id)));
            }
        }

        return Assembly::all(...$all);
    }

    /** @return list<Thing> sockets and switches that an opening is cut for */
    private function opened(): array
    {
        return array_values(array_filter($this->terms->room->things, fn (Thing $thing) => in_array($thing->id, $this->openings, true) && in_array($thing->kind, [ThingKind::Socket, ThingKind::Switch], true)));
    }

    /** @param WayOut $away  where no extender is that deep */
    private function brought(Thing $thing, string $before, Working $spacer, string $use, string $owner, WayOut $away): Assembly
    {
        $format = $this->terms->format;
        $laps = $this->terms->rules->either(...self::LAPS)->toDouble();
        $hole = fn (float $plate): string => $this->terms->write($plate - 2 * $laps);
        $deepest = $this->terms->rules->either(...self::DEEPEST);
        $findings = $spacer->result->isGreaterThan($deepest)
            ? [Finding::warning(Code::ExtenderDeep, sprintf('%s lies %s behind the front of %s; extenders are made up to %s. An electrician moves its box forward, or what is before it stands nearer to the wall.', ucfirst($thing->name), $format->write($spacer->result), $before, $format->write($deepest)), $owner)->about([$thing->id])->withWaysOut([$away])]
            : [Finding::note(Code::OutletForward, sprintf('%s may be brought forward to the front of %s with a box extender of %s: a hole of %s × %s, and its plate laps that. Power off; a licensed person where the rules say so.', ucfirst($thing->name), $before, $format->write($spacer->result), $hole($thing->width), $hole($thing->height)), $owner)->about([$thing->id])];

        return new Assembly([], hardware: [new Hardware('box extender '.$format->write($spacer->result), 1, $use, ArticleKind::BoxExtender)], decisions: [sprintf('Extender of %s', lcfirst($thing->name)) => $spacer], findings: $findings);
    }
}
