<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * A narrow board over the front of a base whose upper box is a little shallower: it covers the step alone and reaches under the upper
 * box, which is packed by its thickness behind.
 */
#[About('step-board', 'Step board', 'Covers the step between a base and a shallower upper box.', 'Boards', 'T')]
final readonly class StepBoard implements MemberUnit
{
    /** It reaches so far under the upper box; mm and inches. */
    private const UNDER = [6.0, 1 / 4];

    private const PACKING = [60.0, 2.375];

    /** A step this wide is better covered by a worktop; one over that is too wide for a trim and too narrow for things; mm and inches. */
    private const WORKTOP = [120.0, 4.75];

    private const TRIM = [60.0, 2.375];

    public function __construct(
        #[Size('Stands over the face', Rule::WorktopOverhang, 0, 100)] public Length $overhang,
        #[Made('Made of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->using(Purpose::Top, $this->made)->for(Purpose::Top)->thickness, $this->overhang);
    }

    public function build(MemberSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Top, $this->made);
        $step = $site->place;
        if (! $step instanceof Over) {
            return new Assembly([]);
        }
        $thick = $site->terms->materials->for(Purpose::Top)->thickness;
        $uppers = array_values(array_filter($site->run->boxes, fn (Box $box) => abs($box->z - $step->z - $thick->toDouble()) < 1.0 && $box->u < $step->end() - 1.0 && $box->right() > $step->u + 1.0));
        $away = new WayOut('Take the step board away', Edits::withoutMember($step->id));
        if ($uppers === []) {
            return new Assembly([], findings: [Finding::clash(Code::MemberNoRoom, 'No box stands on the base there: a step board covers the step before one.', $step->id)->withWaysOut([$away])]);
        }
        $upper = min(array_map(fn (Box $box) => $box->face(), $uppers));
        $face = $step->front() - $this->overhang->toDouble();
        $ledge = $face - $upper;
        if ($ledge < -0.5) {
            return new Assembly([], findings: [Finding::clash(Code::UpperOverhangs, sprintf('The upper box stands out %s over its base.', $site->terms->write(-$ledge)), $step->id)->withWaysOut([$away])]);
        }
        $strip = $this->strip($site, $step, Working::start('step of the upper box', Length::ofDouble(max(0.0, $ledge))));
        $packing = $this->packing($site, $step, $upper);
        $joints = [];
        foreach ($step->carriers as $top) {
            array_push($joints, ...array_map(fn (Placed $one) => new Joint($top, $one->piece->key, JointKind::Screws, 'step boards from below'), [$strip, ...$packing]));
        }

        return new Assembly([$strip, ...$packing], $joints, findings: $this->findings($site, $step, $ledge));
    }

    /** Along the front, cut to the walls at its ends. */
    private function strip(MemberSite $site, Over $step, Working $ledge): Placed
    {
        $width = $ledge->plus('stands over the face', $this->overhang)->plus('under the upper box', $site->terms->rules->either(...self::UNDER))->roundedUp($site->terms->format);
        $scribed = new ScribedTop($site, $step);
        $turned = fn (Outline $outline): Outline => $outline->mapped(fn (Point $point) => new Point($point->y, $point->x));
        $from = $step->front() - $width->result->toDouble();
        $profile = $turned($turned($scribed->profile())->between($from, $step->front())[0]);
        [$u] = $scribed->corner($profile);
        $piece = $site->make->covering('step', 'Step board', $scribed->length(), $width, Purpose::Top, $profile->moved(-$u, -$from), [new Finished('front, long', Finish::Straight), ...array_slice($scribed->works(), 0, 2)], ['screwed from below']);

        return new Placed($piece, Pose::at($u, $from, $step->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $step->id);
    }

    /**
     * Strips as thick as it, on which the upper box stands behind it.
     *
     * @return list<Placed>
     */
    private function packing(MemberSite $site, Over $step, float $upper): array
    {
        $wide = Working::start('width of a packing strip', $site->terms->rules->either(...self::PACKING));
        $placed = [];
        foreach (['back' => $step->v, 'middle' => ($step->v + $upper - $wide->result->toDouble()) / 2] as $at => $v) {
            $piece = $site->make->inner("packing-$at", 'Packing strip', $step->length, $wide, Purpose::Top, Grain::Any, [], ['under the upper box']);
            $placed[] = new Placed($piece, Pose::at($step->u, $v, $step->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $step->id);
        }

        return $placed;
    }

    /** @return list<Finding> */
    private function findings(MemberSite $site, Over $step, float $ledge): array
    {
        $rules = $site->terms->rules;

        return match (true) {
            $ledge >= $rules->either(...self::WORKTOP)->toDouble() => [Finding::note(Code::LedgeUseless, sprintf('The step is %s wide: a worktop over the whole base covers it better.', $site->terms->write($ledge)), $step->id)],
            $ledge > $rules->either(...self::TRIM)->toDouble() => [Finding::note(Code::LedgeUseless, sprintf('The step is %s wide: too wide for a trim, too narrow for things. A deeper upper box makes it less.', $site->terms->write($ledge)), $step->id)],
            default => [],
        };
    }
}
