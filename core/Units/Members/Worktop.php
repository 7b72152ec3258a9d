<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Measure\Length;
use Incastro\Pieces\Works\Finish;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Overhang;
use Incastro\Units\Assembly;
use Incastro\Units\CutsTop;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Desk\KneeFields;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\Make\TopRoundFoot;
use Incastro\Units\MemberUnit;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;
use Incastro\Units\TopSplit;

/** A board over boxes and knee spaces, scribed to the wall behind it and to those at its ends; its front edge is straight. */
#[About('worktop', 'Worktop', 'A board over what stands under it, cut to the walls.', 'Boards', 'W')]
final readonly class Worktop implements MemberUnit
{
    /** Two of them meet where they are no farther apart, mm. */
    private const MEETS = 60.0;

    /** A deeper one is drawn together with three bolts, mm and inches. */
    private const DEEP = [600.0, 24.0];

    public function __construct(
        #[Size('Stands over the face', Rule::WorktopOverhang, 0, 400)] public Length $overhang,
        #[Toggle('Cleats on the walls over knees', true, 'Where nothing stands under it.')] public bool $cleats,
        #[Toggle('A side under an end that nothing carries', true)] public bool $sides,
        #[Count('Sides between, in each knee space', 0, 0, 4)] public int $between,
        #[Toggle('Frames of legs instead of sides', false)] public bool $legs,
        #[Size('Strip under its front over knees, height', ['0', '0'], 0, 150, 'None where it is 0.')] public Length $strip,
        #[Toggle('Cable hole over knees', false)] public bool $hole,
        #[Size('Stands over free ends', ['0', '0'], 0, 100)] public Length $ends,
        #[Choice('Round the foot of a basin it is', TopSplit::Auto)] public TopSplit $split,
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
        $worktop = $site->place;
        if (! $worktop instanceof Over) {
            return new Assembly([]);
        }
        $placed = (new ScribedTop($site, $worktop, $this->over($site, $worktop, 'left'), $this->over($site, $worktop, 'right')))->board('top', 'Worktop', Finish::Straight);
        $knees = new KneeFields($site, $worktop);
        $placed = $this->hole ? $knees->bored($placed) : $placed;
        [$placed, $findings] = $this->opened($site, $worktop, $placed);

        $round = (new TopRoundFoot($site, $worktop, $this->split))->parts($placed);

        return Assembly::all(
            $round ?? new Assembly([$placed], array_map(fn (string $top) => new Joint($top, $placed->piece->key, JointKind::Screws, 'worktop from below'), $worktop->carriers)),
            $knees->build($placed, $this->cleats, $this->sides, $this->legs, $this->between, $this->strip, $this->hole),
            $this->end($site, $worktop),
            new Assembly([], findings: [...$findings, ...$this->standsOut($site, $worktop)]),
        );
    }

    /** How far it stands out over an end: not where a wall is, or something stands as high, mm. */
    private function over(MemberSite $site, Over $worktop, string $side): float
    {
        $isLeft = $side === 'left';
        $at = $isLeft ? $worktop->u : $worktop->end();
        $stop = $isLeft ? $site->run->ends->leftStop : $site->run->ends->rightStop;
        $out = $this->ends->toDouble();
        $isTaken = ($isLeft ? $worktop->meetsLeft : $worktop->meetsRight) || ($stop !== null && abs($stop - $at) < $out + 1.0)
            || array_filter($site->run->boxes, fn (Box $box) => $box->highest() > $worktop->z + 1.0 && $box->z < $worktop->z && ($isLeft ? $box->right() <= $at + 1.0 && $box->right() > $at - $out - 1.0 : $box->u >= $at - 1.0 && $box->u < $at + $out + 1.0)) !== [];

        return $isTaken ? 0.0 : $out;
    }

    /**
     * The board with what the bays under it open in it.
     *
     * @return array{Placed, list<Finding>}
     */
    private function opened(MemberSite $site, Over $worktop, Placed $board): array
    {
        $findings = [];
        foreach ($site->run->boxes as $box) {
            foreach (in_array($box->id.':top', $worktop->carriers, true) ? $box->columns : [] as $column) {
                foreach ($column->openings[count($column->openings) - 1]->options as $option) {
                    if ($option->holds instanceof CutsTop) {
                        [$board, $found] = $option->holds->through($board, $box, $column, $site->terms, $option->id);
                        $findings = [...$findings, ...$found];
                    }
                }
            }
        }

        return [$board, $findings];
    }

    /** What draws it together with the next one, where two meet on what carries them; and what that is on. */
    private function end(MemberSite $site, Over $worktop): Assembly
    {
        foreach ($site->run->over() as $next) {
            if ($next->id !== $worktop->id && $next->memberId() === $worktop->memberId() && abs($next->z - $worktop->z) < self::MEETS && abs($next->u - $worktop->end()) < self::MEETS) {
                $bolts = $worktop->depth->result->isGreaterThan($site->terms->rules->either(...self::DEEP)) ? 3 : 2;

                return new Assembly([], hardware: [new Hardware('worktop bolt', $bolts, 'worktops to each other, their ends cut together in one pass', ArticleKind::Connector)]);
            }
        }

        return new Assembly([]);
    }

    /** @return list<Finding> where its front stands out farther than it holds a person who leans on it */
    private function standsOut(MemberSite $site, Over $worktop): array
    {
        $sheet = $site->terms->materials->for(Purpose::Top);
        $wood = $sheet->wood?->strength();
        $out = $this->overhang->toDouble();
        if ($wood === null || $wood->bendingAcross <= 0.0 || $out < 1.0 || $worktop->carriers === []) {
            return [];
        }
        $overhang = new Overhang($worktop->length->result->toDouble(), $sheet->thickness->toDouble(), $out, $wood->across, $wood->bendingAcross);
        $most = min($overhang->furthest(), ($worktop->depth->result->toDouble() - $out) / 3);
        if ($out <= $most) {
            return [];
        }
        $less = Length::ofDouble(floor($most))->roundedDown($site->terms->format->step);

        return [Finding::warning(Code::OverhangLong, sprintf('The worktop stands %s out with nothing under it; %s holds somebody who leans on it. Guidance for furniture, not for the house.', $site->terms->format->write($this->overhang), $site->terms->format->write($less)), $worktop->id)
            ->withWaysOut([new WayOut('Let it stand out '.$site->terms->format->write($less), Edits::member($worktop->memberId())->measuring('with.overhang', $less))])];
    }
}
