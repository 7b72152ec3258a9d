<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Prism;
use Incastro\Geometry\Solid;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\Enclosure;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Movement;
use Incastro\Units\Placed;

/**
 * What moves in use has its way: what it sweeps holds nothing else that is planned, no thing on a face, no surface of the room,
 * nothing that another part or a door of the room sweeps; and before it is floor enough for the person who draws it out.
 */
final readonly class Swings
{
    /** What a person needs in front of something drawn out, mm. */
    private const PERSON = 450.0;

    /** Places along an edge of what is swept at which the ceiling is looked at. */
    private const ALONG = 8;

    private Enclosure $enclosure;

    private Polygon $plan;

    /** mm */
    private float $lowestCeiling;

    /** @var list<Thing> that stand in the way */
    private array $things;

    private int $runs;

    /** @var list<RunFrame> of each run, and then of each surface */
    private array $frames;

    /** @param list<Assembly> $assemblies of each run, and then of each surface */
    public function __construct(FittedLayout $layout, private array $assemblies, private Terms $terms)
    {
        $this->runs = count($layout->runs);
        $this->frames = [...array_map(fn (FittedRun $run) => $run->frame, $layout->runs), ...array_map(fn (FittedSurface $surface) => $surface->frame, $layout->surfaces)];
        $this->enclosure = new Enclosure($terms->room, $terms->rules->skirtingStays);
        $this->plan = new Polygon($terms->room->corners);
        $this->lowestCeiling = $terms->room->levels->lowestCeiling($terms->room->corners);
        $this->things = array_values(array_filter($terms->room->things, fn (Thing $thing) => $thing->isInTheWay()));
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $findings = [];
        foreach ($this->frames as $r => $frame) {
            $bodies = $this->bodies($frame);
            foreach ($this->assemblies[$r]->movements as $movement) {
                $finding = $this->struck($r, $frame, $bodies, $movement) ?? $this->pulled($r, $frame, $movement) ?? $this->narrow($r, $frame, $movement);
                $findings = $finding === null ? $findings : [...$findings, $finding];
            }
        }

        return $findings;
    }

    /** @return list<Solid|null> what each thing takes up, in the frame of a run */
    private function bodies(RunFrame $frame): array
    {
        $places = new ThingPlace($this->terms->room, $frame);

        return array_map(fn (Thing $thing) => $places->solid($thing), $this->things);
    }

    /**
     * What it meets on its way, worst first.
     *
     * @param  list<Solid|null>  $bodies  of the things, in the frame of the run
     */
    private function struck(int $r, RunFrame $frame, array $bodies, Movement $movement): ?Finding
    {
        $worst = [Assembled::TOUCH, '', ''];
        $note = function (float $by, string $what, string $id) use (&$worst): void {
            $worst = $by > $worst[0] ? [$by, $what, $id] : $worst;
        };
        foreach ($movement->swept as $solid) {
            foreach ($this->assemblies[$r]->placed as $placed) {
                if (! in_array($placed->piece->key, $movement->moving, true) && $placed->bounds->meets($solid->bounds, Assembled::TOUCH)) {
                    $note($placed->solid()->overlap($solid, Assembled::TOUCH), $placed->piece->mark, $placed->owner);
                }
            }
            foreach ($this->things as $i => $thing) {
                $body = $bodies[$i];
                $note($body === null ? 0.0 : $solid->overlap($body, Assembled::TOUCH), lcfirst($thing->name), $thing->id);
            }
            $inRoom = $frame->inRoom($solid);
            foreach ($this->enclosure->outside($inRoom, Assembled::TOUCH) as $surface => $by) {
                $note(is_numeric($surface) ? $by : 0.0, is_numeric($surface) ? 'the '.$this->terms->room->shape->wallName((int) $surface) : '', '');
            }
            $note($this->throughCeiling($inRoom), 'the ceiling', '');
            $this->others($r, $movement, $inRoom, $note);
            $this->doors($inRoom, $note);
        }
        [$by, $what, $id] = $worst;

        return $what === '' ? null : Finding::clash(Code::Strikes, sprintf('%s strikes %s on its way: it would stand %s in it.', $movement->name, $what, $this->terms->write($by)), $movement->tier)
            ->about($id === '' ? [] : [$id])
            ->withWaysOut([...$movement->waysOut, ...($r < $this->runs ? [new WayOut('Leave an open gap instead', Edits::tier($movement->tier)->emptied())] : [])]);
    }

    /** What the pull of an open leaf meets: the leaf then opens less than by a right angle. */
    private function pulled(int $r, RunFrame $frame, Movement $movement): ?Finding
    {
        if ($movement->pull === null) {
            return null;
        }
        $worst = [Assembled::TOUCH, ''];
        $note = function (float $by, string $what) use (&$worst): void {
            $worst = $by > $worst[0] ? [$by, $what] : $worst;
        };
        $solid = Solid::block($movement->pull->block);
        foreach ($this->assemblies[$r]->placed as $placed) {
            if (! in_array($placed->piece->key, $movement->moving, true) && $placed->bounds->meets($solid->bounds, Assembled::TOUCH)) {
                $note($placed->solid()->overlap($solid, Assembled::TOUCH), $placed->piece->mark);
            }
        }
        $inRoom = $frame->inRoom($solid);
        foreach ($this->enclosure->outside($inRoom, Assembled::TOUCH) as $surface => $by) {
            $note(is_numeric($surface) ? $by : 0.0, is_numeric($surface) ? 'the '.$this->terms->room->shape->wallName((int) $surface) : '');
        }
        $this->others($r, $movement, $inRoom, fn (float $by, string $what) => $note($by, $what));
        [$by, $what] = $worst;

        return $what === '' ? null : Finding::warning(Code::LeafOpensShort, sprintf('%s opens to %.0f°: its pull meets %s by %s.', $movement->name, $movement->pull->opensTo($by), $what, $this->terms->write($by)), $movement->tier)
            ->withWaysOut($movement->pull->waysOut);
    }

    /** How far it reaches over the ceiling within the space: beyond its front nobody looked at one. */
    private function throughCeiling(Solid $swept): float
    {
        $most = 0.0;
        foreach ($swept->bounds->z1 > $this->lowestCeiling ? $swept->parts : [] as $part) {
            foreach ($part->edges() as [$p, $q]) {
                for ($k = 0; $k <= self::ALONG; $k++) {
                    $share = $k / self::ALONG;
                    $at = new Point($p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1]));
                    if ($this->plan->contains($at)) {
                        $most = max($most, $p[2] + $share * ($q[2] - $p[2]) - $this->terms->room->levels->ceilingAt($at));
                    }
                }
            }
        }

        return $most;
    }

    /**
     * Pieces of the other runs, and what moves there.
     *
     * @param  \Closure(float, string, string): void  $note
     */
    private function others(int $r, Movement $movement, Solid $swept, \Closure $note): void
    {
        foreach ($this->frames as $o => $other) {
            if ($o === $r) {
                continue;
            }
            foreach ($this->assemblies[$o]->placed as $placed) {
                $note($this->met($placed, $other, $swept), $placed->piece->mark, $placed->owner);
            }
            // Two that meet are told once, by the run that comes first.
            foreach ($o > $r ? $this->assemblies[$o]->movements : [] as $its) {
                foreach ($its->swept as $solid) {
                    $note($swept->overlap($other->inRoom($solid), Assembled::TOUCH), lcfirst($its->name).', when both are open', $its->tier);
                }
            }
        }
    }

    private function met(Placed $placed, RunFrame $frame, Solid $swept): float
    {
        $around = Footprint::of($frame, $placed->bounds)->points;
        [$xs, $ys] = [array_column($around, 'x'), array_column($around, 'y')];
        $block = $swept->bounds;
        $isFar = max($xs) < $block->u0 || min($xs) > $block->u1 || max($ys) < $block->v0 || min($ys) > $block->v1;

        return $isFar ? 0.0 : $placed->inRoom($frame)->overlap($swept, Assembled::TOUCH);
    }

    /** @param \Closure(float, string, string): void $note */
    private function doors(Solid $swept, \Closure $note): void
    {
        foreach ($this->things as $thing) {
            $fan = $thing->kind === ThingKind::Door ? $this->terms->room->swing($thing) : null;
            if ($fan !== null) {
                $high = max(1.0, $thing->height);
                $note($swept->overlap(Solid::prism(new Prism(Axis::Z, $fan, 0.0, $high)), Assembled::TOUCH), lcfirst($thing->name).', when both are open', $thing->id);
            }
        }
    }

    /** Room for a person before what is drawn out. */
    private function narrow(int $r, RunFrame $frame, Movement $movement): ?Finding
    {
        if ($movement->travel <= 0.0) {
            return null;
        }
        $swept = array_map(fn (Solid $solid) => $solid->bounds, $movement->swept);
        $out = max(array_map(fn (Block $block) => $block->v1, $swept));
        $before = array_map(fn (Block $block) => new Block($block->u0, $block->u1, $out - 1.0, $out + self::PERSON, $block->z0, $block->z1), $swept);
        $most = 0.0;
        foreach ($before as $block) {
            $inRoom = $frame->inRoom(Solid::block($block));
            foreach ($this->enclosure->outside($inRoom, Assembled::TOUCH) as $surface => $by) {
                $most = is_numeric($surface) ? max($most, $by) : $most;
            }
            $this->others($r, $movement, $inRoom, function (float $by) use (&$most): void {
                $most = max($most, $by);
            });
        }

        return $most <= Assembled::TOUCH ? null
            : Finding::warning(Code::FreeFloor, sprintf('%s, drawn out, leaves %s before it; a person needs %s.', $movement->name, $this->terms->write(max(0.0, self::PERSON - $most)), $this->terms->write(self::PERSON)), $movement->tier);
    }
}
