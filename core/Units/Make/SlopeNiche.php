<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Members\Over;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * An open niche between the tops of cabinets and a slope over them: a lid along the slope, an end board where it is highest, and a back in parts
 * that go in. S(x) = a + x·tan θ is the slope over the tops, from their low end, its allowance taken off. Where it comes down on
 * them, the lid lies level on them at −a/tan θ; else it ends plumb, over a strip where there is room for one.
 */
final readonly class SlopeNiche
{
    /** A part of the back is no wider, mm and inches. */
    private const WIDEST = [1200.0, 48.0];

    /** A strip under the low end of the lid is no lower, mm. */
    private const STRIP = 3.0;

    /** A nailer that would be shorter is left out, mm. */
    private const SHORTEST = 60.0;

    private float $angle;

    /** Where the lid begins, from the low end, mm. */
    private float $tip;

    /**
     * @param  float  $low  S(0), mm
     * @param  float  $slope  tan θ
     * @param  float  $t  thickness of its boards, mm
     * @param  Length  $cleat  of which the nailer stays two short under the lid
     * @param  ?Length  $joint  where two parts of the back meet, from the low end
     */
    public function __construct(private float $low, private float $slope, private Working $long, private float $t, private Length $cleat, private ?Length $joint = null)
    {
        $this->angle = atan($slope);
        $this->tip = max(0.0, (($low > 0.0 ? $t / cos($this->angle) : 0.0) - $low) / $slope);
    }

    private function over(float $x): float
    {
        return $this->low + $x * $this->slope;
    }

    private function isLevel(): bool
    {
        return $this->low <= 0.0;
    }

    /** To its long points. */
    public function lid(): Working
    {
        $clear = $this->tip > 0.0 ? $this->long->minus('where it meets the tops', Length::ofDouble($this->tip)) : $this->long;
        $along = $clear->plus(sprintf('along the slope, ÷ cos %.1f°', rad2deg($this->angle)), Length::ofDouble($clear->result->toDouble() * (1 / cos($this->angle) - 1)));

        return $this->isLevel() ? $along : $along->plus('to the long points of the bevels', Length::ofDouble($this->t * $this->slope));
    }

    public function end(): Working
    {
        return $this->under('from the tops to the slope at its high end', $this->long->result->toDouble());
    }

    private function under(string $what, float $x): Working
    {
        return Working::start($what, Length::ofDouble($this->over($x)))->minus('the lid, plumb', Length::ofDouble($this->t / cos($this->angle)));
    }

    /**
     * Where the parts of the back begin and end, from the low end.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function backs(float $widest): array
    {
        [$from, $to] = [$this->tip, $this->long->result->toDouble()];
        if ($this->joint !== null && $this->joint->toDouble() > $from && $this->joint->toDouble() < $to) {
            return [[$from, $this->joint->toDouble()], [$this->joint->toDouble(), $to]];
        }
        $parts = max(1, (int) ceil(($to - $from) / $widest));

        return array_map(fn (int $i): array => [$from + $i * ($to - $from) / $parts, $from + ($i + 1) * ($to - $from) / $parts], range(0, $parts - 1));
    }

    public function nailer(float $x): Working
    {
        return $this->under('from the tops to the slope, at the joint of the back', $x)->minusTimes('free under the lid', 2, $this->cleat);
    }

    /** @param bool $rises whether the slope goes up to the right */
    public function build(MemberSite $site, Over $over, bool $rises): Assembly
    {
        $u = fn (float $x): float => $rises ? $over->u + $x : $over->u + $this->long->result->toDouble() - $x;
        $lid = $this->lidBoard($site, $over, $u($this->tip), $rises);
        $end = $this->endBoard($site, $over, $u($this->long->result->toDouble()), $rises);
        $placed = [$lid, $end, ...$this->strip($site, $over, $rises ? $u(0.0) : $u(0.0) - $this->t)];
        // It stands on the box at its own end.
        $joints = array_map(fn (string $other) => new Joint($end->piece->key, $other, JointKind::Screws, 'niches under slopes'), [$lid->piece->key, ...array_slice($over->carriers, $rises ? -1 : 0, 1)]);
        $backs = $this->backs($site->terms->rules->either(...self::WIDEST)->toDouble());
        foreach ($backs as $i => [$from, $to]) {
            $placed[] = $part = $this->back($site, $over, $i + 1, count($backs), $from, $to, $u, $rises);
            $joints[] = new Joint($part->piece->key, $lid->piece->key, JointKind::Nails, 'backs of niches');
            if ($i > 0 && $this->nailer($from)->result->toDouble() >= self::SHORTEST) {
                $placed[] = $nailer = $this->nailed($site, $over, $i, $from, $u($from));
                $joints[] = new Joint($part->piece->key, $nailer->piece->key, JointKind::Nails, 'backs of niches');
            }
        }

        return new Assembly($placed, $joints);
    }

    /** How deep its boards are, before the back. */
    private function deep(MemberSite $site, Over $over): Working
    {
        return $over->depth->minus('the back', $site->terms->materials->back->thickness)->roundedDown($site->terms->format);
    }

    /**
     * An end of a board, across it.
     *
     * @return list<Point>
     */
    private function across(float $x, Working $deep): array
    {
        return [new Point($x, 0.0), new Point($x, $deep->result->toDouble())];
    }

    private static function front(MemberSite $site): Finished
    {
        return new Finished('front, long', Finish::ofFront($site->terms->rules->schools->edges));
    }

    /** Along the slope. A plumb low end is longest at the lower face, t·tan θ before where the upper one begins; a level one at the upper face. */
    private function lidBoard(MemberSite $site, Over $over, float $u, bool $rises): Placed
    {
        $deep = $this->deep($site, $over);
        $long = $this->lid()->roundedDown($site->terms->format);
        $low = new Bevel($this->across(0.0, $deep), $this->isLevel() ? 1 / $this->slope : $this->slope, $this->isLevel());
        $high = new Bevel($this->across($long->result->toDouble(), $deep), $this->slope, true);
        $bevelled = $this->isLevel()
            ? [new Bevelled('low end, short', M_PI / 2 - $this->angle, ', lies level on the tops', [$low]), new Bevelled('high end, short', $this->angle, ', plumb', [$high])]
            : [new Bevelled('both ends, short', $this->angle, ', plumb', [$low, $high])];
        $piece = $site->make->inner('lid', 'Sloped lid', $long, $deep, Purpose::Carcass, Grain::Length, [self::front($site), ...$bevelled], ['screwed down into the end board, glued to the tops']);
        $sign = $rises ? 1 : -1;
        $along = new Vector($sign * cos($this->angle), 0.0, sin($this->angle));
        $begins = new Vector($u, $over->v + $site->terms->materials->back->thickness->toDouble(), $over->z + max(0.0, $this->over($this->tip)));
        $from = $this->isLevel() ? $begins : $begins->minus($along->times($this->t * $this->slope));

        return new Placed($piece, new Pose($from, $along, Way::Out->vector(), new Vector($sign * sin($this->angle), 0.0, -cos($this->angle))), Part::Body, $over->id);
    }

    private function endBoard(MemberSite $site, Over $over, float $u, bool $rises): Placed
    {
        $deep = $this->deep($site, $over);
        $up = $this->end()->roundedDown($site->terms->format);
        $piece = $site->make->inner('end', 'End board', $up, $deep, Purpose::Carcass, Grain::Length, [self::front($site), new Bevelled('top, short', $this->angle, bevels: [new Bevel($this->across($up->result->toDouble(), $deep), $this->slope, true)])], ['screwed to what stands beside it']);

        return new Placed($piece, new Pose(new Vector($u, $over->v + $site->terms->materials->back->thickness->toDouble(), $over->z), Way::Up->vector(), Way::Out->vector(), new Vector($rises ? -1.0 : 1.0, 0.0, 0.0)), Part::Body, $over->id);
    }

    /** @return list<Placed> what holds the low end of the lid over the tops, where there is room for it */
    private function strip(MemberSite $site, Over $over, float $u): array
    {
        $high = $this->under('from the tops to the lid, at its low end', 0.0)->roundedDown($site->terms->format);
        if ($this->tip > 0.0 || $high->result->toDouble() < self::STRIP) {
            return [];
        }
        $piece = $site->make->inner('strip', 'Strip under the low end of the lid', $this->deep($site, $over), $high, Purpose::Carcass, Grain::Length, [self::front($site)], ['glued between top and lid']);

        return [new Placed($piece, Pose::at($u, $over->v + $site->terms->materials->back->thickness->toDouble(), $over->z, Way::Out, Way::Up, Way::Right), Part::Body, $over->id)];
    }

    /** @param \Closure(float): float $u  along the wall of a place from the low end */
    private function back(MemberSite $site, Over $over, int $number, int $of, float $from, float $to, \Closure $u, bool $rises): Placed
    {
        $format = $site->terms->format;
        $long = Working::start($of === 1 ? 'from where the lid meets the tops' : 'part of the back', Length::ofDouble($to - $from))->roundedDown($format);
        $high = Working::start('from the tops to the slope', Length::ofDouble($this->over($to)))->roundedDown($format);
        [$x, $y] = [$long->result->toDouble(), $high->result->toDouble()];
        $least = max(0.0, $y - $x * $this->slope);
        $outline = [new Point(0.0, 0.0), new Point($x, 0.0), ...($rises ? [new Point($x, $y), ...($least > 0.0 ? [new Point(0.0, $least)] : [])] : [...($least > 0.0 ? [new Point($x, $least)] : []), new Point(0.0, $y)])];
        $piece = $site->make->inner("back-$number", $of === 1 ? 'Back of the niche' : ($number === 1 ? 'Back, low part' : 'Back, high part'), $long, $high, Purpose::Back, Grain::Any, [], ['laid on behind lid and end board'], new Outline(new Polygon($outline)));

        return new Placed($piece, Pose::at($rises ? $u($to) - $x : $u($to), $over->v, $over->z, Way::Right, Way::Up, Way::Out), Part::Back, $over->id);
    }

    /** @param float $x from the low end, and $u along the wall */
    private function nailed(MemberSite $site, Over $over, int $number, float $x, float $u): Placed
    {
        $wide = $site->terms->rules->get(Rule::NailerWidth);
        $piece = $site->make->inner("nailer-$number", 'Nailer behind the joint of the back', $this->nailer($x), Working::start('width of the nailer', $wide), Purpose::Carcass, Grain::Any, [], ['through it and the back to a stud or a rafter']);

        return new Placed($piece, Pose::at($u - $wide->toDouble() / 2, $over->v + $site->terms->materials->back->thickness->toDouble(), $over->z, Way::Up, Way::Right, Way::Out), Part::Nailer, $over->id);
    }
}
