<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Band;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\GoesOnLast;
use Incastro\Geometry\Block;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Make\Trim\TrimCorner;
use Incastro\Units\Make\Trim\TrimStrip;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;
use Incastro\Units\TrimEnd;
use Incastro\Units\TrimForm;
use Incastro\Units\TrimSpring;

/**
 * A strip along a wall: a skirting, a rail, or a crown that leans between wall and ceiling. In an inner corner one runs through and the
 * other is coped over it; at an outer one both follow the plane that halves it.
 */
#[About('trim-run', 'Skirting, rail or crown', 'A strip along a wall, cut at its ends to what it meets.', 'On a wall', 'M')]
final readonly class TrimRun implements SurfaceUnit, GoesOnLast
{
    /** Nearer to a corner than this it ends there: walls lean and bulge, mm. */
    private const AT_CORNER = 60.0;

    /** Walls that turn by less go on straight, degrees. */
    private const STRAIGHT = 8.0;

    /** A splice so near to the middle of a stud is on it, mm. */
    private const ON_STUD = 40.0;

    /** A corner off square by less than this is square, degrees. */
    private const SQUARE = 0.5;

    public function __construct(
        #[Choice('Lies', TrimForm::Skirting)] public TrimForm $form,
        #[Size('Width of the strip', ['95', '3 3/4'], 15, 300, 'Where it is bought by length, that is its own.')] public Length $width,
        #[Size('Middle over the floor', ['900', '36'], 100, 3000)]
        #[When('form', TrimForm::Rail)]
        public Length $height,
        #[Choice('Leans', TrimSpring::Steep)]
        #[When('form', TrimForm::Crown)]
        public TrimSpring $spring,
        #[Choice('Left end', TrimEnd::Through)] public TrimEnd $left,
        #[Choice('Right end', TrimEnd::Coped)] public TrimEnd $right,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $width = TrimStrip::wide($materials, $this->width);
        [$s, $thick] = [deg2rad($this->leans()), $materials->for(Purpose::Trim)->thickness];
        $high = Length::ofDouble($width->toDouble() * cos($s));

        return new SurfaceDemand(
            Extent::atLeast(TrimStrip::shortest($materials, $rules), 'a strip that can be held at the saw needs %s'),
            Extent::atLeast($width, 'the strip is %s wide'),
            Length::ofDouble($width->toDouble() * sin($s) + $thick->toDouble() * cos($s)),
            band: match ($this->form) {
                TrimForm::Skirting => Band::foot($high),
                TrimForm::Rail => Band::at($this->height, $high),
                TrimForm::Crown => Band::head($high),
            },
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $strip = $this->strip($site);
        $long = $site->place->width->result->toDouble();
        $foot = match ($this->form) {
            TrimForm::Skirting => 0.0,
            TrimForm::Rail => $this->height->toDouble() - $strip->high() / 2 - $site->place->z,
            TrimForm::Crown => $site->place->height->result->toDouble() - $strip->high(),
        };
        if ($foot < -1e-6 || $foot + $strip->high() > $site->place->height->result->toDouble() + 1e-6) {
            return new Assembly([], findings: [Finding::clash(Code::RailNowhere, sprintf('The strip %s lies beyond its part of the wall, which reaches from %s to %s.', $site->place->mark, $terms->write($site->place->z), $terms->write($site->place->z + $site->place->height->result->toDouble())), $site->place->surface->id)->withWaysOut([$this->away($site)])]);
        }
        $left = $this->corner($site, Hand::Left, $strip, $foot);
        $right = $this->corner($site, Hand::Right, $strip, $foot);
        $from = $this->left === TrimEnd::Returned ? $strip->reach() : 0.0;
        $to = $long - ($this->right === TrimEnd::Returned ? $strip->reach() : 0.0);
        $at = new Vector($site->place->u, $site->place->v, $site->place->z + $foot);
        $between = $this->between($site, $strip, $foot, [$from, $left], [$to, $right]);
        if ($between === []) {
            return new Assembly([], findings: [Finding::clash(Code::PieceShort, sprintf('What stands against the %s leaves no place for %s.', $site->terms->room->shape->wallName($site->place->frame->wall), $site->place->mark), $site->place->surface->id)->withWaysOut([$this->away($site)])]);
        }
        $studs = array_map(fn (Block $stud): float => ($stud->u0 + $stud->u1) / 2 - $site->place->u, $site->studs());
        $placed = [];
        $last = count($between) - 1;
        foreach ($between as $i => [[$begin, $atBegin], [$end, $atEnd]]) {
            array_push($placed, ...$strip->build($last === 0 ? 'strip' : 'strip-'.chr(ord('a') + $i), $begin, $end, $atBegin, $atEnd, $at, Way::Right->vector(), Way::Out->vector(), $site->place->surface->id, $studs));
        }

        return new Assembly($placed, [], [$strip->nails($long)], [], [...$this->offStud($site, $placed, $studs), ...$this->findings($site, 'left', $left), ...$this->findings($site, 'right', $right)]);
    }

    /**
     * Where studs were noted and two parts meet beside them all.
     *
     * @param  list<Placed>  $placed
     * @param  list<float>  $studs
     * @return list<Finding>
     */
    private function offStud(SurfaceSite $site, array $placed, array $studs): array
    {
        $findings = [];
        foreach (array_slice($placed, 1) as $i => $part) {
            $at = $part->bounds->u0 - $site->place->u;
            $isJoint = $part->bounds->meets($placed[$i]->bounds, -1.0);
            if ($studs !== [] && $isJoint && array_filter($studs, fn (float $stud) => abs($stud - $at) <= self::ON_STUD) === []) {
                $findings[] = Finding::warning(Code::ScarfOffStud, sprintf('The splice of %s %s along the wall has no stud behind it: glue it over a block, or note the studs there.', $site->place->mark, $site->terms->write($part->bounds->u0)), $site->place->surface->id);
            }
        }

        return $findings;
    }

    /**
     * From where to where it goes: it ends square at what stands against its wall.
     *
     * @param  array{float, TrimCorner}  $from
     * @param  array{float, TrimCorner}  $to
     * @return list<array{array{float, TrimCorner}, array{float, TrimCorner}}>
     */
    private function between(SurfaceSite $site, TrimStrip $strip, float $foot, array $from, array $to): array
    {
        $place = $site->place;
        $around = new Block($place->u + $from[0], $place->u + $to[0], $place->v, $place->v + $strip->reach(), $place->z + $foot, $place->z + $foot + $strip->high());
        $square = new TrimCorner(TrimEnd::Square);
        $between = [];
        foreach ($site->against?->along($place->frame, $around) ?? [] as [$begins, $ends]) {
            $between[] = [$from, [$begins - $place->u, $square]];
            $from = [$ends - $place->u, $square];
        }
        $least = TrimStrip::shortest($site->terms->materials, $site->terms->rules)->toDouble();

        return array_values(array_filter([...$between, [$from, $to]], fn (array $one) => $one[1][0] - $one[0][0] >= $least));
    }

    private function strip(SurfaceSite $site): TrimStrip
    {
        return new TrimStrip($site->make, $site->terms, $this->form->name, TrimStrip::wide($site->terms->materials, $this->width), $this->leans());
    }

    /** S, degrees. */
    private function leans(): float
    {
        return $this->form === TrimForm::Crown ? (float) $this->spring->value : 0.0;
    }

    /** How it ends at the left or the right: what runs along the next wall stands before the most that this bulges. */
    private function corner(SurfaceSite $site, Hand $hand, TrimStrip $strip, float $foot): TrimCorner
    {
        $isLeft = $hand === Hand::Left;
        [$end, $room, $place] = [$isLeft ? $this->left : $this->right, $site->terms->room, $site->place];
        $angle = $this->angle($site, $isLeft);
        if ($angle === null || abs($angle - 180.0) < self::STRAIGHT) {
            // Where the wall goes on straight, past an open side or a door, it just ends.
            return new TrimCorner($angle === null || $end === TrimEnd::Returned ? $end : TrimEnd::Square);
        }
        // Nothing is coped round an outer corner.
        $end = $angle > 180.0 + self::SQUARE && in_array($end, [TrimEnd::Through, TrimEnd::Coped], true) ? TrimEnd::Mitred : $end;
        $next = $room->frame($isLeft ? $room->shape->after($place->frame->wall) : $room->shape->before($place->frame->wall));
        $out = max(0.0, $next->backBulge(0.0, $next->length(), $place->z + $foot, $place->z + $foot + $strip->high()));
        // Under a ceiling that falls one crown lies lower than the other, and so farther out at the same height.
        $lower = abs($place->z + $place->height->result->toDouble() - $this->headOf($next, $strip));
        $out += $this->form === TrimForm::Crown && $lower < $strip->high() ? $lower * tan(deg2rad($this->leans())) : 0.0;
        $at = ($out + $place->v * cos(deg2rad($angle))) / sin(deg2rad($angle));

        return new TrimCorner($end, $angle, max(0.0, $at - ($isLeft ? $place->u : $place->frame->length() - $place->end())));
    }

    /** How high a crown along a wall may lie, mm. */
    private function headOf(RunFrame $frame, TrimStrip $strip): float
    {
        return min(array_merge(...array_map(fn (float $v) => array_map(fn (float $u) => $frame->ceilingAt($u, $v), $frame->ceilingBreaks(0.0, $frame->length(), $v)), [0.0, $strip->reach()])));
    }

    /** Between its wall and the next one at an end, degrees as they are in the room; null where it does not end at a corner. */
    private function angle(SurfaceSite $site, bool $isLeft): ?float
    {
        $room = $site->terms->room;
        $frame = $site->place->frame;
        $at = $isLeft ? 0.0 : $frame->length();
        if (abs(($isLeft ? $site->place->u : $site->place->end()) - $at) > self::AT_CORNER) {
            return null;
        }
        $here = $frame->point($at, 0.0);
        $far = null;
        foreach ($room->corners as $i => $corner) {
            foreach ([$room->shape->before($i), $room->shape->after($i)] as $next) {
                $other = $frame->place($room->corners[$next]);
                // Of the two walls that meet there, the one that this is not.
                if ($corner->distanceTo($here) < 1.0 && abs($other[1]) > 1.0) {
                    $far = $other;
                }
            }
        }
        if ($far === null) {
            return null;
        }
        $angle = rad2deg(atan2($far[1], $isLeft ? $far[0] : $at - $far[0]));

        return $angle < 0.0 ? $angle + 360.0 : $angle;
    }

    /** @return list<Finding> */
    private function findings(SurfaceSite $site, string $side, TrimCorner $corner): array
    {
        $isOff = in_array($corner->end, [TrimEnd::Coped, TrimEnd::Mitred], true) && abs(fmod($corner->angle, 180.0) - 90.0) > self::SQUARE;

        return $isOff ? [Finding::note(Code::CornerNotSquare, sprintf('The corner at the %s of %s is %.1f°: cut %.1f° each.', $side, $site->place->mark, $corner->angle, abs(180.0 - $corner->angle) / 2), $site->place->surface->id)] : [];
    }

    private function away(SurfaceSite $site): WayOut
    {
        return new WayOut('Take it away', Edits::withoutSurface($site->place->surface->id));
    }
}
