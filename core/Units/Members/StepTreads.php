<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Finish;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxesUnder;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\Make\Stair;
use Incastro\Units\MemberUnit;
use Incastro\Units\Sites\MemberSite;

/**
 * Steps up to a bed or a loft: a tread over each of several boxes that stand side by side, each higher than the one before by the same
 * rise. The boxes hold what boxes hold.
 */
#[About('step-treads', 'Steps', 'A tread over each box of a stair of boxes; every rise is checked.', 'To sleep', 'S')]
final readonly class StepTreads implements MemberUnit
{
    /** Rises that differ by more make people stumble, mm. */
    private const UNEVEN = 5.0;

    /** The largest rise, mm and inches. */
    private const RISE = [300.0, 12.0];

    /** The least going: how deep a tread is for the foot; mm and inches. */
    private const GOING = [200.0, 8.0];

    /** The least width of a stair, mm and inches. */
    private const WIDE = [350.0, 14.0];

    /** To climb upright; mm and inches. */
    private const HEAD = [2000.0, 79.0];

    /** Higher than this one holds on to something, mm and inches. */
    private const HOLD = [600.0, 24.0];

    public function __construct(
        #[Size('Each stands over the one below', ['20', '3/4'], 0, 25)] public Length $nosing,
        #[Size('Height climbed', ['0', '0'], 0, 1800, 'From the floor; 0 is up to what stands beside the last step.')] public Length $climbs,
        #[Made('Made of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->using(Purpose::Top, $this->made)->for(Purpose::Top)->thickness, Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $tread = $site->place;
        if (! $tread instanceof Over) {
            return new Assembly([]);
        }
        $stair = new Stair($site, $tread);
        $site = $site->madeOf(Purpose::Top, $this->made);
        $step = $stair->step($tread);
        // The first stands over the floor: it needs no nosing.
        $nosing = $step === 0 ? 0.0 : $this->nosing->toDouble();
        $placed = (new ScribedTop($site, $tread, $stair->isToRight ? $nosing : 0.0, $stair->isToRight ? 0.0 : $nosing))->board('tread', 'Tread', Finish::Banded);
        $joints = array_map(fn (string $top) => new Joint($top, $placed->piece->key, JointKind::Screws, 'treads from below'), $tread->carriers);
        $climbed = $this->climbs->isZero() ? $stair->climbs() : $this->climbs->toDouble();
        $decisions = $step !== 0 || $climbed === null ? [] : ['Rise of the steps' => Working::start('height climbed', Length::ofDouble($climbed))->dividedBy('equal rises', count($stair->treads) + 1)];

        return new Assembly([$placed], $joints, [], $decisions, [...$this->rise($site, $stair, $step, $climbed), ...$this->room($site, $tread, $stair, $step), ...$this->strong($site, $tread)]);
    }

    /** @return list<Finding> */
    private function rise(MemberSite $site, Stair $stair, int $step, ?float $climbed): array
    {
        $tread = $stair->treads[$step];
        $write = $site->terms->write(...);
        if ($climbed === null) {
            return $step > 0 ? [] : [Finding::note(Code::StepsNowhere, 'These steps end at nothing: say what height they climb to, so that every rise is alike.', $tread->id)];
        }
        $rises = count($stair->treads) + 1;
        $most = $site->terms->rules->either(...self::RISE)->toDouble();
        $high = $step === 0 && $climbed / $rises > $most ? [Finding::clash(Code::StepHigh, sprintf('%d equal rises to %s are %s each; %s is the most. Put another step in.', $rises, $write($climbed), $write($climbed / $rises), $write($most)), $tread->id)->withWaysOut([$this->away($tread)])] : [];
        // A story stick: each tread where it belongs, to the step that is sawn to.
        $wanted = Length::ofDouble($climbed * ($step + 1) / $rises)->rounded($site->terms->format->step)->toDouble();
        $off = $stair->height($step) - $wanted;
        if (abs($off) <= self::UNEVEN) {
            return $high;
        }
        $cell = array_values(array_filter($site->run->cells, fn ($cell) => $cell->boxId !== null && in_array($cell->boxId.':top', $tread->carriers, true)))[0] ?? null;
        $box = $cell === null ? null : $site->run->box((string) $cell->boxId);
        $ways = $cell === null || $box === null ? [] : [new WayOut('Make it stand '.$write($wanted).' high', Edits::tier($cell->tier->id)->measuring('size', Length::ofDouble($box->outerHeight()->toDouble() - $off)))];

        return [...$high, Finding::clash(Code::RiseUneven, sprintf('Step %d stands %s over the floor; with every rise alike it stands %s. Uneven rises make people stumble.', $step + 1, $write($stair->height($step)), $write($wanted)), $tread->id)->withWaysOut($ways)];
    }

    /** @return list<Finding> for the foot, the shoulders and the head */
    private function room(MemberSite $site, Over $tread, Stair $stair, int $step): array
    {
        $rules = $site->terms->rules;
        $write = $site->terms->write(...);
        $findings = [];
        foreach ([['deep for the foot', $tread->length->result, self::GOING], ['wide', $tread->depth->result, self::WIDE]] as [$what, $is, $least]) {
            if ($is->isLessThan($rules->either(...$least))) {
                $findings[] = Finding::clash(Code::StepNarrow, sprintf('Step %d is %s %s; %s is the least.', $step + 1, $site->terms->format->write($is), $what, $site->terms->format->write($rules->either(...$least))), $tread->id)->withWaysOut([$this->away($tread)]);
            }
        }
        $over = min(array_map(fn (float $u) => $site->run->frame->ceilingAt($u, $tread->front()), [$tread->u, $tread->end()])) - $stair->top($step);
        if ($over < $rules->either(...self::HEAD)->toDouble()) {
            $findings[] = Finding::note(Code::StepsBent, sprintf('Over step %d %s are left: one climbs it bent.', $step + 1, $write(max(0.0, $over))), $tread->id);
        }
        if ($step === count($stair->treads) - 1 && $stair->height($step) > $rules->either(...self::HOLD)->toDouble()) {
            $findings[] = Finding::note(Code::StepsHold, sprintf('From %s up, steps need something to hold on to: a wall or a handrail on one side. Put a strip against slipping on every nosing.', $site->terms->format->write($rules->either(...self::HOLD))), $tread->id);
        }

        return $findings;
    }

    /** @return list<Finding> where one foot breaks it from side to side of its box: the way its grain runs */
    private function strong(MemberSite $site, Over $tread): array
    {
        $sheet = $site->terms->materials->for(Purpose::Top);
        $wood = $sheet->wood?->strength();
        $under = new BoxesUnder($site, $tread);
        $span = $under->span();
        if ($wood === null || $under->boxes === []) {
            return [];
        }
        $deck = new Deck($tread->depth->result->toDouble(), $sheet->thickness->toDouble(), $span, $wood->along, $wood->bendingAlong, Loads::newtons(Loads::SEAT), Loads::STANDS_ON);
        if ($deck->isStrong()) {
            return [];
        }
        $least = $deck->leastThickness();
        $ways = $under->thicker($deck, fn (Deck $thicker) => $thicker->isStrong());

        return [Finding::clash(Code::TreadBends, sprintf('Over %s a tread of %s may break under one foot; it takes %s. Guidance for furniture, not for the house.', $site->terms->write($span), $site->terms->format->write($sheet->thickness), $site->terms->format->finest()->write(Length::ofDouble($least))), $tread->id)->withWaysOut([...$ways, $this->away($tread)])];
    }

    private function away(Over $tread): WayOut
    {
        return new WayOut('Take the steps away', Edits::withoutMember($tread->memberId()));
    }
}
