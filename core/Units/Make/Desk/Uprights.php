<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Desk;

use Incastro\Fit\Headroom;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Survey\Network\Normal;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/** What carries a worktop across where no box does: a side from the floor up, or a frame of two legs and two rails on glides. */
final readonly class Uprights
{
    /** Width of a leg and of its rails, mm and inches. */
    private const LEG = [45.0, 1.75];

    private const GLIDE = [12.0, 0.5];

    /** A side reaches back to the wall where it gains so much by that, mm. */
    private const GAINS = 30.0;

    private const HALVINGS = 24;

    /** The lower rail stands so far over the floor, where feet do not meet it. */
    private const LOW = [100.0, 4.0];

    public function __construct(private MemberSite $site, private Over $top, private Placed $board, private float $face, private bool $legs)
    {
    }

    /** How much of a knee space one takes, mm. */
    public function thickness(): float
    {
        return $this->legs ? $this->is(self::LEG)->toDouble() : $this->site->terms->board();
    }

    /** @param float $u of its left side */
    public function at(string $role, float $u): Assembly
    {
        $built = $this->legs ? $this->frame($role, $u) : new Assembly([$this->side($role, $u)]);
        $joints = [];
        foreach ($built->placed as $one) {
            if (abs($one->bounds->z1 - $this->top->z) < 1.0) {
                $joints[] = new Joint($this->board->piece->key, $one->piece->key, JointKind::Butt, 'worktop to what stands under it');
            }
        }

        return Assembly::all($built, new Assembly([], $joints, [new Hardware('angle bracket', 2, 'worktop to what stands under it', ArticleKind::AngleBracket)]));
    }

    /** From the floor to the worktop; under a slope, or before a wall that leans in, back to what is there. */
    private function side(string $role, float $u): Placed
    {
        $cheek = $this->cheek($u);
        if ($cheek !== null) {
            $outline = $cheek->outline();
            $piece = $this->site->make->covering($role, 'Side under the worktop', $cheek->length(), $cheek->width(), Purpose::Carcass, $outline, [new Finished('front, long', Finish::Banded), new Finished('back, long', Finish::TouchesHouse)], ['its back cut to the wall and the slope, scribed there; cut to the floor as it is there; two brackets under the worktop']);

            return new Placed($piece, Pose::at($u, $this->face - $outline->bounds()[3], 0.0, Way::Up, Way::Out, Way::Right), Part::Body, $this->top->id);
        }
        $piece = $this->site->make->inner($role, 'Side under the worktop', $this->high(), $this->deep(), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['cut to the floor as it is there; two brackets under the worktop']);

        return new Placed($piece, Pose::at($u, $this->top->v, 0.0, Way::Up, Way::Out, Way::Right), Part::Body, $this->top->id);
    }

    /** A side that reaches farther back below than the worktop does; null where that gains nothing. */
    private function cheek(float $u): ?SlopeCheek
    {
        $frame = $this->site->run->frame;
        $high = $this->top->z;
        $knee = $this->knee($u, $high);
        $wall = array_map(fn (float $z): Point => new Point($z, $this->behind($u, $z)), array_values(array_unique([0.0, ...array_filter($frame->bendsBetween(0.0, $high), fn (float $z) => $z < $knee), ...$knee > 1.0 && $knee < $high - 1.0 ? [$knee] : [], $high])));
        if ($this->top->v - $wall[0]->y < self::GAINS) {
            return null;
        }
        $over = $this->site->terms->rules->get(Rule::ScribeReserve)->plus(Length::ofDouble(Normal::ONE_SIDED_95 * $frame->ceilingSigmaAt($u, $this->top->v)))->roundedUp($this->site->terms->format->step);

        return new SlopeCheek(Length::ofDouble($high)->roundedDown($this->site->terms->format->step), Length::ofDouble($this->face), $wall, $over);
    }

    /** How far out the wall and the ceiling come at a height, on both faces of a board there, with what is kept clear; mm. */
    private function behind(float $u, float $z): float
    {
        $to = $u + $this->thickness();
        $wall = max($this->site->run->frame->backAt($u, $z), $this->site->run->frame->backAt($to, $z)) + $this->site->terms->rule(Rule::ShelfAllowance);

        return max(0.0, $wall, $this->underCeiling($u, $z));
    }

    private function underCeiling(float $u, float $z): float
    {
        return (new Headroom($this->site->terms, $this->site->run->frame, 0.0, $this->face))->clears($u, $u + $this->thickness(), 0.0, $z);
    }

    /** How high the wall behind is before the ceiling comes down on it, up to a height; mm. */
    private function knee(float $u, float $upTo): float
    {
        [$low, $high] = [0.0, $upTo];
        for ($k = 0; $k < self::HALVINGS; $k++) {
            $middle = ($low + $high) / 2;
            $this->underCeiling($u, $middle) > 0.0 ? $high = $middle : $low = $middle;
        }

        return $low;
    }

    /** A leg behind and one before, an upper and a lower rail between them. */
    private function frame(string $role, float $u): Assembly
    {
        $wide = Working::start('as it is sawn', $this->is(self::LEG));
        $leg = $this->is(self::LEG)->toDouble();
        $thick = $this->site->terms->materials->for(Purpose::Leg)->thickness->toDouble();
        $in = ($leg - $thick) / 2;
        $put = fn (string $name, string $called, Working $length, string $how, float $v, float $z, Way $along, Way $across): Placed => new Placed($this->site->make->inner("$role-$name", $called, $length, $wide, Purpose::Leg, Grain::Length, [], [$how]), Pose::at($u + $in, $v, $z, $along, $across, Way::Right), Part::Body, $this->top->id);
        $stands = $this->high()->minus('glide', $this->is(self::GLIDE));
        $between = $this->deep()->minusTimes('legs', 2, $this->is(self::LEG));
        $foot = $this->top->z - $stands->roundedDown($this->site->terms->format)->result->toDouble();
        $front = $this->top->v + $this->deep()->roundedDown($this->site->terms->format)->result->toDouble() - $leg;

        $legs = [
            $put('back', 'Leg', $stands, 'on a glide, cut to the floor as it is there', $this->top->v, $foot, Way::Up, Way::Out),
            $put('front', 'Leg', $stands, 'on a glide, cut to the floor as it is there', $front, $foot, Way::Up, Way::Out),
        ];
        $rails = [
            $put('rail', 'Rail of the leg frame', $between, 'between the legs', $this->top->v + $leg, $this->top->z - $leg, Way::Out, Way::Up),
            $put('rail-low', 'Rail of the leg frame', $between, 'between the legs', $this->top->v + $leg, $this->is(self::LOW)->toDouble(), Way::Out, Way::Up),
        ];
        $joints = array_merge(...array_map(fn (Placed $one) => array_map(fn (Placed $rail) => new Joint($one->piece->key, $rail->piece->key, JointKind::Screws, 'leg frames'), $rails), $legs));

        return new Assembly([...$legs, ...$rails], $joints, [new Hardware('glide '.$this->site->terms->format->write($this->is(self::GLIDE)), 2, 'leg frames', ArticleKind::Bumper)]);
    }

    private function high(): Working
    {
        return Working::start('from the floor to the worktop', Length::ofDouble($this->top->z));
    }

    private function deep(): Working
    {
        return Working::start('depth of the furniture', Length::ofDouble($this->face - $this->top->v));
    }

    /** @param array{float, float} $size */
    private function is(array $size): Length
    {
        return $this->site->terms->rules->either(...$size);
    }
}
