<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Trim;

use Incastro\Fit\Terms;
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
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Hardware;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\TrimEnd;

/**
 * A strip along a face, standing on it or leaning out from it by S as a crown does: its ends are cut by the plane that halves the corner,
 * and where it is longer than a piece is made its parts are scarfed at 45°.
 */
final readonly class TrimStrip
{
    /** Two nails at a stud from this width on, mm; studs no further apart than this. */
    private const TWO_NAILS = 100.0;

    private const STUDS = 400.0;

    /** No part is shorter, mm and inches. */
    private const LEAST = [400.0, 16.0];

    private float $w;

    private float $t;

    /** S, in radians. */
    private float $s;

    /**
     * @param  string  $name  of each of its pieces
     * @param  Length  $width  of the strip
     * @param  float  $spring  S, degrees
     */
    public function __construct(private Workshop $make, private Terms $terms, private string $name, private Length $width, private float $spring = 0.0)
    {
        $this->w = $width->toDouble();
        $this->t = $terms->materials->for(Purpose::Trim)->thickness->toDouble();
        $this->s = deg2rad($spring);
    }

    /** Its width where it is bought by length; else as it is chosen. */
    public static function wide(Catalogue $materials, Length $chosen): Length
    {
        $material = $materials->for(Purpose::Trim);

        return $material instanceof Lineal ? $material->width : $chosen;
    }

    /** How short a strip with two ends to saw can still be held. */
    public static function shortest(Catalogue $materials, HouseRules $rules): Length
    {
        return $materials->for(Purpose::Trim)->thickness->times(2)->plus($rules->either(20, 0.75));
    }

    /** How far out it comes, mm. */
    public function reach(): float
    {
        return $this->w * sin($this->s) + $this->t * cos($this->s);
    }

    /** How high it stands, mm. */
    public function high(): float
    {
        return $this->w * cos($this->s);
    }

    /**
     * Its parts, from and to along its back.
     *
     * @param  Vector  $at  where it would begin at 0
     * @param  Vector  $along  to the right as it is seen
     * @param  Vector  $out  off what it lies on
     * @param  list<float>  $studs  middles of those behind it, over which parts meet
     * @return non-empty-list<Placed>
     */
    public function build(string $role, float $from, float $to, TrimCorner $left, TrimCorner $right, Vector $at, Vector $along, Vector $out, string $owner, array $studs = []): array
    {
        $cuts = [$from, ...$this->scarfs($from, $to, $studs), $to];
        $count = count($cuts) - 1;
        $placed = [];
        foreach (range(0, $count - 1) as $i) {
            $placed[] = $this->part($count === 1 ? $role : $role.'-'.($i + 1), [$cuts[$i], $cuts[$i + 1]], $i === 0 ? $left : null, $i === $count - 1 ? $right : null, $at, $along, $out, $owner);
        }

        return $placed;
    }

    /**
     * Where its parts meet: over the farthest stud that a piece reaches, where one is known there; else so that all are alike.
     *
     * @param  list<float>  $studs
     * @return list<float>
     */
    private function scarfs(float $from, float $to, array $studs): array
    {
        $most = $this->terms->rule(Rule::LongestPiece) - $this->t;
        $least = $this->terms->rules->either(...self::LEAST)->toDouble();
        $cuts = [];
        while ($to - $from > $most) {
            $even = $from + ($to - $from) / ceil(($to - $from) / $most);
            $over = array_filter($studs, fn (float $stud) => $stud <= min($from + $most, $to - $least) && $stud >= $from + $least && ($to - $stud <= $most || $stud >= $even));
            $cuts[] = $from = $over === [] ? $even : max($over);
        }

        return $cuts;
    }

    /**
     * One part: null at an end where it meets another, cut at 45° through the thickness on a stud, the one below longer at its back.
     *
     * @param  array{float, float}  $ends
     */
    private function part(string $role, array $ends, ?TrimCorner $first, ?TrimCorner $last, Vector $at, Vector $along, Vector $out, string $owner): Placed
    {
        [$w, $t] = [$this->w, $this->t];
        [$from, $to] = [$ends[0] + ($first === null ? $t : 0.0), $ends[1] + ($last === null ? $t : 0.0)];
        // Where its corners are along the face: at the foot and the head of its width, on its back and on its face.
        [$left, $right] = [$first?->plane($t, $this->s) ?? [0.0, 0.0, -1.0], $last?->plane($t, $this->s) ?? [0.0, 0.0, 1.0]];
        $corners = fn (array $plane): array => [$plane[0], $plane[0] + $plane[1] * $w, $plane[0] + $plane[2] * $t, $plane[0] + $plane[1] * $w + $plane[2] * $t];
        $xs = array_map(fn (float $x): float => $from + $x, $corners($left));
        $ends = array_map(fn (float $x): float => $to - $x, $corners($right));
        // A blank goes to the corner, also where its end is coped.
        [$low, $high] = [min($from, ...$xs), max($to, ...$ends)];
        // The outline is that of the larger arrises: of the back, or of the face where that is longer.
        $footL = min($xs[0], $xs[2]) - $low;
        $headL = min($xs[1], $xs[3]) - $low;
        $footR = max($ends[0], $ends[2]) - $low;
        $headR = max($ends[1], $ends[3]) - $low;
        $works = [
            ...$this->endWorks('left end', $left[2], [new Point($footL, 0.0), new Point($headL, $w)], $first),
            ...$this->endWorks('right end', $right[2], [new Point($footR, 0.0), new Point($headR, $w)], $last),
        ];
        $all = Working::start('along its back', Length::ofDouble($to - $from));
        $more = $high - $low - ($to - $from);
        $length = $more > 1e-6 ? $all->plus('to its long points', Length::ofDouble($more)) : $all;
        // Between two walls it must go in; round a corner it must reach.
        $length = $more > 1e-6 ? $length->roundedUp($this->terms->format) : $length->roundedDown($this->terms->format);
        $outline = new Outline(new Polygon([new Point($footL, 0.0), new Point($footR, 0.0), new Point($headR, $w), new Point($headL, $w)]));
        $joints = [$first === null ? 'left: scarfed over the other part, on a stud' : 'left: '.$first->end->words(), $last === null ? 'right: scarfed under the other part, on a stud' : 'right: '.$last->end->words(), 'nailed at every stud'];
        $piece = $this->make->shaped($role, $this->name, $length, Working::start('width of the strip', $this->width), Purpose::Trim, $outline, $works, $joints, $role);
        $up = $out->times(sin($this->s))->plus(Way::Up->vector()->times(cos($this->s)));
        $face = $out->times(cos($this->s))->minus(Way::Up->vector()->times(sin($this->s)));

        return new Placed($piece, new Pose($at->plus($along->times($low)), $along, $up, $face), Part::Face, $owner);
    }

    /**
     * @param  float  $deep  how much shorter the end is for each mm towards the face; less than 0 where it is longer there
     * @param  list<Point>  $line  of the longer arris
     * @param  TrimCorner|null  $corner  null where it meets another part
     * @return list<Work>
     */
    private function endWorks(string $edge, float $deep, array $line, ?TrimCorner $corner): array
    {
        $isCoped = $corner?->end === TrimEnd::Coped;
        if (abs($deep) < 1e-9 && ! $isCoped) {
            return [];
        }
        $saw = $corner?->saw($this->spring) ?? Mitre::standing(90.0);
        $works = $saw->mitre > 0.05 ? [new Sawn($edge, deg2rad($saw->mitre), ' off square, lying flat')] : [];
        $bevels = abs($deep) < 1e-9 ? [] : [new Bevel($line, abs($deep), $deep > 0.0)];

        return [...$works, new Bevelled($edge, deg2rad($saw->bevel), $isCoped ? ', longest at its back, then coped' : ($deep > 0.0 ? ', longest at its back' : ', longest on the face'), $bevels)];
    }

    /** Nails at the studs behind so much of it, mm. */
    public function nails(float $long): Hardware
    {
        $count = ((int) ceil($long / self::STUDS) + 1) * ($this->w >= self::TWO_NAILS ? 2 : 1);
        $brad = $this->terms->materials->for(Purpose::Trim)->thickness->plus($this->terms->rules->either(35, 1.5))->roundedUp($this->terms->format->step);

        return new Hardware('brad '.$this->terms->format->write($brad), $count, 'trim', ArticleKind::Brad, $brad);
    }
}
