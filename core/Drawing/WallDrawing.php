<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Survey;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;

/** One wall of a space as one faces it, with the walls beside it, floor and ceiling, the things on it, and its readings. */
final readonly class WallDrawing
{
    /** A line that would hide another lies this far beside it, mm. */
    private const BESIDE = 55.0;

    /** Steps in which the ceiling is drawn. */
    private const STEPS = 24;

    private RunFrame $frame;

    private float $length;

    public function __construct(private Survey $survey, private Room $room, private int $wall, private ReadingText $texts, private LengthFormat $format)
    {
        $this->frame = $room->frame($wall);
        $this->length = $this->frame->length();
    }

    public function draw(): Drawing
    {
        $name = ucfirst($this->room->shape->wallName($this->wall)).', seen from the room';

        return new Drawing($name, ['house' => $this->house(), 'things' => $this->things(), 'readings' => $this->readings()]);
    }

    private function ceiling(float $u): float
    {
        return max(1.0, $this->frame->ceilingAt($u, 0.0));
    }

    /**
     * Heights at which the walls beside this one may bend, from the floor to the ceiling at an end.
     *
     * @return list<float>
     */
    private function heights(float $u): array
    {
        return $this->frame->bendsBetween(0.0, $this->ceiling($u));
    }

    /** A point of the upright line where this wall ends; floor and ceiling move its ends. */
    private function end(string $side, float $z): DrawnPoint
    {
        $isLeft = $side === 'left';
        $corner = $isLeft ? $this->room->shape->after($this->wall) : $this->wall;
        $u = $isLeft ? 0.0 : $this->length;
        $at = fn (float $height): float => $this->frame->place($this->room->cornerAt($corner, $height))[0];
        $heights = $this->heights($u);
        $straight = array_sum(array_map($at, $heights)) / count($heights);
        $x = $at($z);
        $top = $this->ceiling($u);
        $y = match (true) {
            $z <= 0.0 => $this->frame->floorAt($u, 0.0),
            default => min($z, $top),
        };

        return new DrawnPoint($x, $y, $x - $straight, $z <= 0.0 ? $y : 0.0);
    }

    /** @return list<Shape> */
    private function house(): array
    {
        $left = array_map(fn (float $z) => $this->end('left', $z), $this->heights(0.0));
        $right = array_map(fn (float $z) => $this->end('right', $z), $this->heights($this->length));
        $plumbs = [];
        foreach ([$left, $right] as $line) {
            $x = $line[0]->x - $line[0]->cx;
            $plumbs[] = new Outline([new DrawnPoint($x, 0.0), new DrawnPoint($x, $line[count($line) - 1]->y + 60.0)], false, Style::Plumb);
        }
        $over = [];
        $usual = ($this->ceiling(0.0) + $this->ceiling($this->length)) / 2;
        $isFlat = $this->isFlat();
        for ($i = 1; $i < self::STEPS; $i++) {
            $u = $this->length * $i / self::STEPS;
            $over[] = new DrawnPoint($u, $this->ceiling($u), 0.0, $isFlat ? $this->ceiling($u) - $usual : 0.0);
        }
        $tops = array_map(fn (DrawnPoint $point) => $isFlat ? new DrawnPoint($point->x, $point->y, $point->cx, $point->y - $usual) : $point, [$left[count($left) - 1], $right[count($right) - 1]]);

        return [...$plumbs, new Outline([...array_slice($left, 0, -1), $tops[0], ...$over, $tops[1], ...array_reverse(array_slice($right, 0, -1))], true, Style::House, 'walls')];
    }

    /** @return list<Shape> */
    private function readings(): array
    {
        $lines = [];
        foreach ($this->survey->slots as $slot) {
            $line = $this->line($slot);
            if ($line !== null) {
                $lines[] = new Dimension($line[0], $line[1], $this->texts->of($slot), $slot->id, $this->isMain($slot) ? Style::Reading : Style::ReadingQuiet);
            }
        }

        return $lines;
    }

    /** @return array{DrawnPoint, DrawnPoint}|null where the line of a slot lies on this wall */
    private function line(Slot $slot): ?array
    {
        $z = (float) $slot->height;
        $front = $this->isFront($slot) ? self::BESIDE : 0.0;

        return match ($slot->kind) {
            // Those in front lie a little above those at the back, so that both can be seen.
            ReadingKind::Width => $slot->wall === $this->wall ? [$this->end('left', $z)->plus(0.0, $front), $this->end('right', $z)->plus(0.0, $front)] : null,
            ReadingKind::Side => $slot->from === $this->wall && $slot->to === $this->room->shape->after($this->wall) ? [$this->end('left', $z), $this->end('right', $z)] : null,
            ReadingKind::Height => $this->height($slot),
            ReadingKind::Plumb => $this->plumb($slot),
            ReadingKind::Fall => $this->fall($slot),
            ReadingKind::Offset => $slot->wall === $this->wall ? [new DrawnPoint((float) $slot->along - 25.0, $z), new DrawnPoint((float) $slot->along + 25.0, $z)] : null,
            default => null,
        };
    }

    /** @return array{DrawnPoint, DrawnPoint}|null */
    private function height(Slot $slot): ?array
    {
        $spot = $slot->spots[0] ?? null;
        if ($spot === null) {
            return null;
        }
        $place = $this->room->network->spot($this->room->adjusted->unknowns, $spot->wall, $spot->along, $spot->depth);
        if ($this->isFlat() ? $spot->wall !== $this->wall : $this->nearestWall($place) !== $this->wall) {
            return null;
        }
        [$along, $depth] = $this->frame->place($place);
        $inset = min(120.0, $this->length / 8);
        $u = min(max($along, $inset), $this->length - $inset) + ($this->isFlat() && $this->isFront($slot) ? self::BESIDE : 0.0);

        return [new DrawnPoint($u, $this->frame->floorAt($u, $depth)), new DrawnPoint($u, max(1.0, $this->frame->ceilingAt($along, $depth)))];
    }

    private function isFlat(): bool
    {
        return $this->room->shape->ceiling === CeilingKind::Flat;
    }

    /** Under a slope a height is drawn on the wall it stands nearest to, where the slope is seen as it is there. */
    private function nearestWall(Point $place): int
    {
        $best = [INF, 0];
        foreach ($this->room->shape->walls() as $wall) {
            $frame = $this->room->frame($wall);
            [$u, $v] = $frame->place($place);
            $beyond = max(0.0, -$u, $u - $frame->length());
            if (hypot($v, $beyond) < $best[0] - 1.0) {
                $best = [hypot($v, $beyond), $wall];
            }
        }

        return $best[1];
    }

    /**
     * The level on this wall, or on one beside it, where it is seen from the side.
     *
     * @return array{DrawnPoint, DrawnPoint}|null
     */
    private function plumb(Slot $slot): ?array
    {
        $foot = (float) $slot->height;
        $head = $foot + (float) $slot->span;
        if ($slot->wall === $this->wall) {
            return [new DrawnPoint((float) $slot->along, $foot), new DrawnPoint((float) $slot->along, $head)];
        }
        $side = match ($slot->wall) {
            $this->room->shape->after($this->wall) => 'left',
            $this->room->shape->before($this->wall) => 'right',
            default => null,
        };
        $inset = $side === 'left' ? 30.0 : -30.0;

        return $side === null ? null : [$this->end($side, $foot)->plus($inset), $this->end($side, $head)->plus($inset)];
    }

    /** @return array{DrawnPoint, DrawnPoint}|null */
    private function fall(Slot $slot): ?array
    {
        if (count($slot->spots) !== 2 || $slot->spots[0]->wall !== $this->wall || abs($slot->spots[0]->along - $slot->spots[1]->along) < 10.0) {
            return null;
        }

        return [$this->end('left', 0.0)->plus(0.0, -45.0), $this->end('right', 0.0)->plus(0.0, -45.0)];
    }

    /** Widths at the back and sides show their values always, the others when they are selected. */
    private function isMain(Slot $slot): bool
    {
        return ($slot->kind === ReadingKind::Width && ! $this->isFront($slot)) || $slot->kind === ReadingKind::Side;
    }

    private function isFront(Slot $slot): bool
    {
        return str_contains($slot->id, 'front');
    }

    /**
     * Things on this wall, each with the two distances that place it.
     *
     * @return list<Shape>
     */
    private function things(): array
    {
        $shapes = [];
        foreach ($this->room->things as $thing) {
            if ($thing->face === Face::Wall && $thing->wall === $this->wall) {
                array_push($shapes, ...$this->thing($thing));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function thing(Thing $thing): array
    {
        $ref = "thing:$thing->id";
        $left = $thing->left($this->length);
        $right = $left + $thing->width;
        $top = max(1.0, $this->frame->ceilingAt(max(0.0, min($this->length, ($left + $right) / 2)), 0.0));
        $foot = $thing->foot($top);
        $middle = $foot + $thing->height / 2;
        $section = $thing->runs() === 'out' ? $thing->section() : null;
        $outline = $section === null
            ? Outline::rectangle($left, $foot, $thing->width, $thing->height, Style::Thing, $ref)
            : new Outline(array_map(fn (Point $point) => new DrawnPoint($left + $point->x, $foot + $point->y), $section->points), true, Style::Thing, $ref);
        $write = fn (float $mm) => $this->format->write(Length::ofDouble($mm));

        return [
            $outline,
            new Label(new DrawnPoint($left + $thing->width / 2, $foot + $thing->height + self::BESIDE), $thing->name, Style::Label, $ref),
            new Dimension(new DrawnPoint($thing->fromRight ? $this->length : 0.0, $middle), new DrawnPoint($thing->fromRight ? $right : $left, $middle), $write($thing->along), $ref, Style::ThingDistance),
            new Dimension(new DrawnPoint($left + $thing->width / 2, $thing->fromCeiling ? $top : 0.0), new DrawnPoint($left + $thing->width / 2, $thing->fromCeiling ? $foot + $thing->height : $foot), $write($thing->up), $ref, Style::ThingDistance),
        ];
    }
}
