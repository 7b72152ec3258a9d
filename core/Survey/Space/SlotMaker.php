<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Tool;

/** Words and places of the readings that every sheet is made of. */
final readonly class SlotMaker
{
    private const ROW_WORDS = ['low' => 'bottom', 'middle' => 'middle', 'high' => 'top'];

    /** Legs of a 3-4-5, mm: marked on both walls from the corner. */
    private const LEGS = [600.0, 800.0];

    /** Between two stations of a straightedge, and from its ends to the corners, mm. */
    private const STATIONS = 250.0;

    private const FROM_ENDS = 50.0;

    private const MOST_STATIONS = 60;

    private SpaceShape $shape;

    public function __construct(private SheetPlaces $places)
    {
        $this->shape = $places->shape;
    }

    public function side(int $edge, bool $required = true): Slot
    {
        $to = $this->shape->after($edge);
        $isWall = $this->shape->isWall($edge);
        $name = $isWall ? $this->shape->wallName($edge) : $this->shape->edges[$edge]->label();

        return new Slot(
            'side-'.SpaceShape::name($edge).'-'.SpaceShape::name($to),
            ReadingKind::Side,
            sprintf('Side %s, %s', $this->shape->edgeName($edge), $name),
            $isWall ? sprintf('Hook in corner %s, body of the tape in corner %s, level along the wall; add the body’s own length.', SpaceShape::name($edge), SpaceShape::name($to))
                : sprintf('Across the opening from corner %s to corner %s, level.', SpaceShape::name($edge), SpaceShape::name($to)),
            $isWall ? Tool::Inside : Tool::Tape,
            $required,
            height: $this->places->planHeight(),
            from: $edge,
            to: $to,
            group: 'Plan'
        );
    }

    public function diagonal(int $from, int $to, bool $required = true): Slot
    {
        return new Slot(
            'diagonal-'.SpaceShape::name($from).'-'.SpaceShape::name($to),
            ReadingKind::Diagonal,
            sprintf('Diagonal %s–%s', SpaceShape::name($from), SpaceShape::name($to)),
            sprintf('Hook in corner %s, tape to corner %s, level all the way.', SpaceShape::name($from), SpaceShape::name($to)),
            Tool::Tape,
            $required,
            height: $this->places->planHeight(),
            from: $from,
            to: $to,
            group: 'Plan'
        );
    }

    public function corner(int $at, ?string $id = null, ?string $label = null, bool $required = false): Slot
    {
        $name = SpaceShape::name($at);
        $outside = in_array($at, $this->shape->outside, true);

        return new Slot(
            $id ?? "corner-$name",
            ReadingKind::Corner,
            $label ?? ($outside ? "Outside corner $name" : "Corner $name"),
            $outside ? 'The angle of the masonry, held from outside by gauge; about 90.' : 'The angle between the two walls, by gauge.',
            Tool::Gauge,
            $required,
            height: $this->places->planHeight(),
            from: $this->shape->before($at),
            to: $this->shape->after($at),
            at: $at,
            outside: $outside,
            group: 'Plan'
        );
    }

    public function threeFourFive(int $at, bool $required = false): Slot
    {
        $name = SpaceShape::name($at);
        [$a, $b] = array_map($this->places->round(...), self::LEGS);

        return new Slot(
            "345-$name",
            ReadingKind::ThreeFourFive,
            "3-4-5 at corner $name",
            sprintf('Mark %s from the corner on one wall and %s on the other; read from mark to mark. Square is %s.', $this->places->write($a), $this->places->write($b), $this->places->write(hypot($a, $b))),
            Tool::Tape,
            $required,
            height: $this->places->planHeight(),
            from: $this->shape->before($at),
            to: $this->shape->after($at),
            at: $at,
            legs: [$a, $b],
            outside: in_array($at, $this->shape->outside, true),
            group: 'Plan'
        );
    }

    /**
     * A width along the back wall, so far out from it.
     *
     * @param  array{int, int}  $between
     */
    public function width(string $row, string $column, array $between, int $wall = 0, bool $required = true, ?string $id = null): Slot
    {
        return new Slot(
            $id ?? "width-$row-$column",
            ReadingKind::Width,
            ucfirst(sprintf('width, %s, at the %s', self::ROW_WORDS[$row], $column)),
            'Hook against the left wall, body of the tape against the right; add the body’s own length.',
            Tool::Inside,
            $required,
            height: $this->places->row($row, $between[0]),
            depth: $this->places->column($column),
            wall: $wall,
            between: $between,
            group: 'Widths'
        );
    }

    /**
     * From the back wall to the wall that faces it, beside one of the side walls.
     *
     * @param  array{int, int}  $between
     */
    public function depthBetween(string $row, string $side, array $between, int $wall): Slot
    {
        return new Slot(
            "depth-$row-$side",
            ReadingKind::Width,
            ucfirst(sprintf('depth, %s, beside the %s wall', self::ROW_WORDS[$row], $side)),
            'Hook against the back wall, body of the tape against the front wall; add the body’s own length.',
            Tool::Inside,
            true,
            height: $this->places->row($row, $between[0]),
            depth: $this->places->round(100.0),
            wall: $wall,
            between: $between,
            group: 'Depths'
        );
    }

    public function plumb(int $wall, string $row, ?float $along = null, bool $required = true, ?string $id = null, ?string $label = null, ?string $swap = null): Slot
    {
        [$foot, $head] = $this->places->levelHeld($row, $wall);
        $name = $this->shape->edgeName($wall);
        $half = $row === 'low' ? 'lower half' : 'upper half';

        return new Slot(
            $id ?? "plumb-$name-$row",
            ReadingKind::Plumb,
            $label ?? ucfirst(sprintf('plumb, %s, %s', $this->shape->wallName($wall), $half)),
            'Hold the level plumb with one end on the wall; read the gap at the other end with a rule. Gap at the bottom: the wall leans in.',
            Tool::levelOf($head - $foot),
            $required,
            height: $foot,
            span: $head - $foot,
            ends: ['bottom', 'top'],
            wall: $wall,
            along: $along ?? $this->places->length($wall) / 2,
            swap: $swap,
            group: 'Plumb'
        );
    }

    public function height(string $id, string $label, Spot $spot, int $plane = 0, bool $required = true, string $how = 'Floor to ceiling. Hook on the floor, tape straight up.', ?string $swap = null): Slot
    {
        return new Slot($id, ReadingKind::Height, $label, $how, Tool::Tape, $required, depth: $spot->depth, along: $spot->along, spots: [$spot], plane: $plane, swap: $swap, group: 'Heights');
    }

    /**
     * @param  array{Spot, Spot}  $spots
     * @param  array{string, string}  $ends the second spot is lower, or the first
     */
    public function fall(string $id, string $label, array $spots, float $span, array $ends, string $how = 'Level line across the floor; read how much lower one end is.'): Slot
    {
        return new Slot($id, ReadingKind::Fall, $label, $how, Tool::levelOf($span), true, span: $span, ends: $ends, spots: $spots, group: 'Floor');
    }

    public function slope(int $plane, string $name): Slot
    {
        return new Slot("slope-$plane", ReadingKind::Slope, ucfirst("angle of the $name"), 'Gauge held against the ceiling, straight up the slope; degrees from level.', Tool::Gauge, false, plane: $plane, group: 'Heights');
    }

    /** @return list<Slot> */
    public function skirting(): array
    {
        return [
            new Slot('skirting-height', ReadingKind::Skirting, 'Skirting, height', 'Floor to its top edge. 0 when there is none.', Tool::Rule, true, group: 'Floor'),
            new Slot('skirting-thickness', ReadingKind::Skirting, 'Skirting, thickness', 'How far it stands out from the wall. 0 when there is none.', Tool::Rule, true, group: 'Floor'),
        ];
    }

    /**
     * Falls of the floor along the back wall and out from it.
     *
     * @return list<Slot>
     */
    public function falls(float $across): array
    {
        $width = $this->places->length(0);
        $depth = $this->places->depth();

        return [
            $this->fall('fall-across', 'Floor fall, left to right', [new Spot(0, 0.0, $depth / 2), new Spot(0, $width, $depth / 2)], $across, ['right', 'left']),
            $this->fall('fall-depth', 'Floor fall, back to front', [new Spot(0, $width / 2, 0.0), new Spot(0, $width / 2, $depth)], $depth, ['front', 'back'], 'Level on the floor from the back wall to the front; read how much lower one end is.'),
            new Slot('floor-rise', ReadingKind::Rise, 'Floor, highest place', 'Slide a level about: where is the floor highest? 0 if at a corner; else how much it stands up over the highest corner.', Tool::levelOf($across), $this->places->asksFront(), span: $across, group: 'Floor'),
        ];
    }

    /** @return list<Slot> one, or a row of offsets along a straightedge */
    public function extra(ExtraSlot $extra): array
    {
        if ($extra->kind === ReadingKind::Offset) {
            return $this->offsets($extra);
        }
        $slot = match ($extra->kind) {
            ReadingKind::Side => $this->side((int) $extra->from),
            ReadingKind::Diagonal => $this->diagonal((int) $extra->from, (int) $extra->to),
            ReadingKind::Corner => $this->corner((int) $extra->from),
            ReadingKind::ThreeFourFive => $this->threeFourFive((int) $extra->from),
            ReadingKind::Plumb => $this->plumb((int) $extra->wall, ($extra->height ?? 0.0) > $this->places->planHeight() ? 'high' : 'low', $extra->along, false, $extra->id, ucfirst(sprintf('plumb, %s, %s from its left end', $this->shape->wallName((int) $extra->wall), $this->places->write((float) $extra->along)))),
            ReadingKind::Fall => $this->ceilingFall($extra),
            ReadingKind::Height => $this->height($extra->id, sprintf('Height, %s along and %s out from %s', $this->places->write((float) $extra->along), $this->places->write((float) $extra->depth), $this->shape->wallName((int) $extra->wall)), new Spot((int) $extra->wall, (float) $extra->along, (float) $extra->depth), $extra->plane, false),
            default => $this->tie($extra),
        };

        return [new Slot(...['id' => $extra->id, 'required' => false, 'group' => 'Added'] + get_object_vars($slot))];
    }

    /** A level held along the ceiling, so far out from a wall: which of its ends is lower. */
    private function ceilingFall(ExtraSlot $extra): Slot
    {
        $wall = (int) $extra->wall;
        $span = (float) $extra->height;
        $spots = [new Spot($wall, (float) $extra->along, (float) $extra->depth), new Spot($wall, (float) $extra->along + $span, (float) $extra->depth)];

        return new Slot(
            $extra->id,
            ReadingKind::Fall,
            sprintf('Ceiling, level %s out from %s', $this->places->write((float) $extra->depth), $this->shape->wallName($wall)),
            sprintf('Hold the level against the ceiling from %s to %s along the wall; read by how much one end hangs lower.', $this->places->write((float) $extra->along), $this->places->write((float) $extra->along + $span)),
            Tool::levelOf($span),
            false,
            depth: (float) $extra->depth,
            span: $span,
            ends: ['right', 'left'],
            along: (float) $extra->along,
            spots: $spots,
            plane: $extra->plane,
            group: 'Added',
            onCeiling: true,
        );
    }

    private function tie(ExtraSlot $extra): Slot
    {
        return new Slot(
            $extra->id,
            ReadingKind::Tie,
            sprintf('Tie, corner %s to a mark on %s', SpaceShape::name((int) $extra->from), $this->shape->wallName((int) $extra->wall)),
            sprintf('Mark the wall %s from its left end; hook in corner %s, tape to the mark, level.', $this->places->write((float) $extra->along), SpaceShape::name((int) $extra->from)),
            Tool::Tape,
            false,
            height: $this->places->planHeight(),
            at: $extra->from,
            wall: $extra->wall,
            along: $extra->along,
            group: 'Added'
        );
    }

    /**
     * Stations of a straightedge at round places: up the wall between its lowest row and its highest, or along it.
     *
     * @return list<Slot>
     */
    private function offsets(ExtraSlot $extra): array
    {
        $wall = (int) $extra->wall;
        if (! $this->places->isRound()) {
            return array_map(fn (int $i) => $this->station($extra, $i), range(0, $this->evenly($extra)[2]));
        }
        $last = $this->places->below($extra->isLevel ? $this->places->length($wall) - $this->places->round(self::FROM_ENDS) : $this->places->row('high', $wall));
        $slots = [];
        for ($i = 0; $i < self::MOST_STATIONS && ($i < 2 || $this->stationAt($extra, $i) <= $last + 1e-6); $i++) {
            $slots[] = $this->station($extra, $i);
        }
        // Near the end there is one more: a line is not drawn out further than it must be.
        $left = $last - $this->stationAt($extra, $i - 1);

        return $left < $this->places->round(self::STATIONS) / 4 ? $slots : [...$slots, $this->stationOf($extra, $i, $last)];
    }

    /** @return array{float, float, int} where stations begin and end that are spread evenly, and how many steps lie between */
    private function evenly(ExtraSlot $extra): array
    {
        $wall = (int) $extra->wall;
        [$from, $to] = $extra->isLevel ? [self::FROM_ENDS, $this->places->length($wall) - self::FROM_ENDS] : [$this->places->row('low', $wall), $this->places->row('high', $wall)];

        return [$from, $to, max(1, (int) round(($to - $from) / self::STATIONS))];
    }

    /** How far along the wall, or how high, a station lies, mm. */
    private function stationAt(ExtraSlot $extra, int $i): float
    {
        if (! $this->places->isRound()) {
            [$from, $to, $steps] = $this->evenly($extra);

            return round($from + ($to - $from) * $i / $steps);
        }
        $from = $extra->isLevel ? $this->places->round(self::FROM_ENDS) : $this->places->row('low', (int) $extra->wall);

        return $from + $i * $this->places->round(self::STATIONS);
    }

    public function station(ExtraSlot $extra, int $i): Slot
    {
        return $this->stationOf($extra, $i, $this->stationAt($extra, $i));
    }

    private function stationOf(ExtraSlot $extra, int $i, float $at): Slot
    {
        [$along, $height] = $extra->isLevel ? [$at, (float) $extra->height] : [(float) $extra->along, $at];

        return new Slot(
            $extra->id.'.'.$i,
            ReadingKind::Offset,
            sprintf('Offset, %s, station %d', $this->shape->wallName((int) $extra->wall), $i + 1),
            sprintf('From the %s straightedge to the wall by rule, to half a millimetre or 1/64.', $extra->isLevel ? 'level' : 'plumb'),
            Tool::Rule,
            false,
            height: $height,
            wall: $extra->wall,
            along: $along,
            straightedge: $extra->id,
            isLevel: $extra->isLevel,
            group: 'Offsets by rule',
        );
    }
}
