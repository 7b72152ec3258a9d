<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Desk;

use Incastro\Fit\Members\Over;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
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

    /** From the floor to the worktop. */
    private function side(string $role, float $u): Placed
    {
        $piece = $this->site->make->inner($role, 'Side under the worktop', $this->high(), $this->deep(), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['cut to the floor as it is there; two brackets under the worktop']);

        return new Placed($piece, Pose::at($u, $this->top->v, 0.0, Way::Up, Way::Out, Way::Right), Part::Body, $this->top->id);
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
