<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\GoesOnLast;
use Incastro\Geometry\Mitre;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Sawn;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;
use Incastro\Units\TrimEnd;
use Incastro\Units\TrimForm;
use Incastro\Units\TrimSpring;

/**
 * A strip along a wall: a skirting, a rail, or a crown that leans between wall and ceiling. At a corner of the walls by A its end follows
 * the plane that halves it: so far from the corner as it stands off the wall times cot(A/2). Its length is told to its long points.
 */
#[About('trim-run', 'Skirting, rail or crown', 'A strip along a wall, cut at its ends to what it meets.', 'On a wall', 'M')]
final readonly class TrimRun implements SurfaceUnit, GoesOnLast
{
    /** A corner off square by less than this is square, degrees. */
    private const SQUARE = 0.5;

    /** Two nails at a stud from this width on, mm; studs no further apart than this. */
    private const TWO_NAILS = 100.0;

    private const STUDS = 400.0;

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
        $width = $this->wide($materials);

        return new SurfaceDemand(
            Extent::atLeast($materials->for(Purpose::Trim)->thickness->times(2)->plus($rules->either(40, 1.5)), 'a strip that can be held at the saw needs %s'),
            Extent::atLeast($width, 'the strip is %s wide'),
            Length::ofDouble($this->reach($materials)),
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $width = $this->wide($terms->materials);
        [$w, $t] = [$width->toDouble(), $terms->materials->for(Purpose::Trim)->thickness->toDouble()];
        $s = $this->leans();
        $long = $site->place->width->result->toDouble();
        $z = match ($this->form) {
            TrimForm::Skirting => 0.0,
            TrimForm::Rail => $this->height->toDouble() - $w / 2 - $site->place->z,
            TrimForm::Crown => $site->place->height->result->toDouble() - $w * cos($s),
        };
        if ($z < -1e-6 || $z + $w * cos($s) > $site->place->height->result->toDouble() + 1e-6) {
            return new Assembly([], findings: [Finding::clash(Code::RailNowhere, sprintf('The strip %s lies beyond its part of the wall, which reaches from %s to %s.', $site->place->mark, $terms->write($site->place->z), $terms->write($site->place->z + $site->place->height->result->toDouble())), $site->place->surface->id)->withWaysOut([$this->away($site)])]);
        }
        $corner = ['left' => $this->corner($site, Hand::Left), 'right' => $this->corner($site, Hand::Right)];
        // How far an end goes along the wall for each mm that the strip stands off it.
        $cut = ['left' => $this->cot($this->left, $corner['left']), 'right' => $this->cot($this->right, $corner['right'])];
        $reach = $this->reach($terms->materials);
        $from = $this->left === TrimEnd::Returned ? $reach : 0.0;
        $to = $long - ($this->right === TrimEnd::Returned ? $reach : 0.0);
        $parts = max(1, (int) ceil(($to - $from) / ($terms->rule(Rule::LongestPiece) - $t)));
        $placed = [];
        for ($i = 0; $i < $parts; $i++) {
            $placed[] = $this->strip($site, $i, $parts, $from + $i * ($to - $from) / $parts, $from + ($i + 1) * ($to - $from) / $parts, $z, $cut, $corner);
        }
        $nails = ((int) ceil($long / self::STUDS) + 1) * ($w >= self::TWO_NAILS ? 2 : 1);
        $brad = $terms->materials->for(Purpose::Trim)->thickness->plus($terms->rules->either(35, 1.5))->roundedUp($terms->format->step);

        return new Assembly($placed, [], [new Hardware('brad '.$terms->format->write($brad), $nails, 'trim', ArticleKind::Brad, $brad)], [], $this->findings($site, $corner));
    }

    /** Width of the strip: its own where it is bought by length. */
    private function wide(Catalogue $materials): Length
    {
        $material = $materials->for(Purpose::Trim);

        return $material instanceof Lineal ? $material->width : $this->width;
    }

    /** How far out it comes, mm. */
    private function reach(Catalogue $materials): float
    {
        $s = $this->leans();

        return $this->wide($materials)->toDouble() * sin($s) + $materials->for(Purpose::Trim)->thickness->toDouble() * cos($s);
    }

    private function leans(): float
    {
        return $this->form === TrimForm::Crown ? $this->spring->radians() : 0.0;
    }

    /** Between its wall and the next one at an end, degrees as they are in the room; 90 where it does not end at a corner. */
    private function corner(SurfaceSite $site, Hand $hand): float
    {
        $room = $site->terms->room;
        $frame = $site->place->frame;
        $isLeft = $hand === Hand::Left;
        $at = $isLeft ? 0.0 : $frame->length();
        if (abs($site->place->u + ($isLeft ? 0.0 : $site->place->width->result->toDouble()) - $at) > 1.0) {
            return 90.0;
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
            return 90.0;
        }
        $angle = rad2deg(atan2($far[1], $isLeft ? $far[0] : $at - $far[0]));

        return $angle < 0.0 ? $angle + 360.0 : $angle;
    }

    /** How far an end goes along the wall for each mm that the strip stands off it: cot(A/2), more than 0 where its face is shorter. */
    private function cot(TrimEnd $end, float $corner): float
    {
        return match ($end) {
            TrimEnd::Through, TrimEnd::Square => 0.0,
            TrimEnd::Returned => -1.0,
            TrimEnd::Coped, TrimEnd::Mitred => 1 / tan(deg2rad($corner) / 2),
        };
    }

    /**
     * One part of the strip: from and to at its back, where it lies on the wall.
     *
     * @param  array{left: float, right: float}  $cut
     * @param  array{left: float, right: float}  $corner
     */
    private function strip(SurfaceSite $site, int $i, int $parts, float $from, float $to, float $z, array $cut, array $corner): Placed
    {
        $terms = $site->terms;
        $s = $this->leans();
        $w = $this->wide($terms->materials)->toDouble();
        $t = $terms->materials->for(Purpose::Trim)->thickness->toDouble();
        // Two parts meet on a stud, cut at 45° through the thickness: the one below longer at its back.
        $isFirst = $i === 0;
        $isLast = $i === $parts - 1;
        [$left, $right] = [$isFirst ? $cut['left'] : -1.0, $isLast ? $cut['right'] : 1.0];
        $to += $isLast ? 0.0 : $t;
        $from += $isFirst ? 0.0 : $t;
        [$acrossL, $acrossR] = [$isFirst ? $left * sin($s) : 0.0, $isLast ? $right * sin($s) : 0.0];
        [$deepL, $deepR] = [$isFirst ? $left * cos($s) : $left, $isLast ? $right * cos($s) : $right];
        // Where its corners are along the wall: at the foot and the head of its width, on its back and on its face.
        $xs = [$from, $from + $acrossL * $w, $from + $deepL * $t, $from + $acrossL * $w + $deepL * $t];
        $ends = [$to, $to - $acrossR * $w, $to - $deepR * $t, $to - $acrossR * $w - $deepR * $t];
        $low = min($xs);
        // The outline is that of the larger arrises: of the back, or of the face where that is longer.
        $footL = min($xs[0], $xs[2]) - $low;
        $headL = min($xs[1], $xs[3]) - $low;
        $footR = max($ends[0], $ends[2]) - $low;
        $headR = max($ends[1], $ends[3]) - $low;
        $works = [];
        foreach ([['left end', $deepL, $footL, $headL, $isFirst ? $this->left : null, $corner['left']], ['right end', $deepR, $footR, $headR, $isLast ? $this->right : null, $corner['right']]] as [$edge, $deep, $foot, $head, $end, $angle]) {
            array_push($works, ...$this->endWorks($edge, $deep, [new Point($foot, 0.0), new Point($head, $w)], $end, $angle));
        }
        $all = Working::start('along the wall at its back', Length::ofDouble($to - $from));
        $more = max($ends) - $low - ($to - $from);
        $length = $more > 1e-6 ? $all->plus('to its long points', Length::ofDouble($more)) : $all;
        // Between two walls it must go in; round a corner it must reach.
        $length = $more > 1e-6 ? $length->roundedUp($terms->format) : $length->roundedDown($terms->format);
        $outline = new Outline(new Polygon([new Point($footL, 0.0), new Point($footR, 0.0), new Point($headR, $w), new Point($headL, $w)]));
        $joints = [$isFirst ? 'left: '.$this->left->words() : 'left: scarfed over the other part, on a stud', $isLast ? 'right: '.$this->right->words() : 'right: scarfed under the other part, on a stud', 'nailed at every stud'];
        $role = $parts === 1 ? 'strip' : 'strip-'.($i + 1);
        $piece = $site->make->shaped($role, $this->form->name, $length, Working::start('width of the strip', $this->wide($terms->materials)), Purpose::Trim, $outline, $works, $joints, $role);
        $up = new Vector(0.0, sin($s), cos($s));
        $out = new Vector(0.0, cos($s), -sin($s));

        return new Placed($piece, new Pose(new Vector($site->place->u + $low, $site->place->v, $site->place->z + $z), Way::Right->vector(), $up, $out), Part::Face, $site->place->surface->id);
    }

    /**
     * @param  list<Point>  $line  of the longer arris
     * @param  float  $deep  how much shorter the end is for each mm towards the face; less than 0 where it is longer there
     * @param  ?TrimEnd  $end  null where two parts of one strip meet
     * @return list<Work>
     */
    private function endWorks(string $edge, float $deep, array $line, ?TrimEnd $end, float $corner): array
    {
        if (abs($deep) < 1e-9) {
            return [];
        }
        $saw = match (true) {
            $end === null, $end === TrimEnd::Returned => Mitre::standing(90.0),
            $this->form === TrimForm::Crown => Mitre::crown((float) $this->spring->value, $corner),
            default => Mitre::standing($corner),
        };
        $works = $saw->mitre > 0.05 ? [new Sawn($edge, deg2rad($saw->mitre), ' off square, lying flat')] : [];

        return [...$works, new Bevelled($edge, deg2rad($saw->bevel), $deep > 0.0 ? ', longest at its back' : ', longest on the face', [new Bevel($line, abs($deep), $deep > 0.0)])];
    }

    /**
     * @param  array{left: float, right: float}  $corner
     * @return list<Finding>
     */
    private function findings(SurfaceSite $site, array $corner): array
    {
        $id = $site->place->surface->id;
        $findings = [];
        foreach ([[$this->left, 'left', $corner['left']], [$this->right, 'right', $corner['right']]] as [$end, $side, $angle]) {
            $off = abs(fmod($angle, 180.0) - 90.0);
            if (in_array($end, [TrimEnd::Coped, TrimEnd::Mitred], true) && $off > self::SQUARE) {
                $findings[] = Finding::note(Code::CornerNotSquare, sprintf('The corner at the %s of %s is %.1f°: cut %.1f° each.', $side, $site->place->mark, $angle, abs(180.0 - $angle) / 2), $id);
            }
        }

        return $findings;
    }

    private function away(SurfaceSite $site): WayOut
    {
        return new WayOut('Take it away', Edits::withoutSurface($site->place->surface->id));
    }
}
