<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Pieces\Works\Scribed;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Room\RunFrame;
use Incastro\Trial\Dice;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\RandomLayouts;

/**
 * “Fits.” is never said of what could not be built: of layouts as people make them, in spaces of every kind, whatever fits is
 * held against laws that know nothing of the check: every pair of pieces, and points all over them against walls and ceiling.
 * INCASTRO_CAMPAIGN=2000 runs so many.
 */
final class EverythingStandsFreeTest extends TestCase
{
    private const SHORT = 120;

    /** What two pieces may share, and what one may stand outside, mm. */
    private const TOUCH = 0.5;

    private const POINTS = 12;

    public function test_whatever_fits_can_be_built_and_most_of_what_people_make_fits(): void
    {
        $count = (int) (getenv('INCASTRO_CAMPAIGN') ?: self::SHORT);
        $fits = $made = 0;
        for ($number = 0; $number < $count; $number++) {
            $plan = RandomLayouts::plan($number);
            // Of layouts as people make them, before something on a wall asks for another look.
            $isMade = $number % 10 !== 9 && $plan->space->things === [];
            $made += $isMade ? 1 : 0;
            if (array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash) !== []) {
                self::assertNotSame('fits', $plan->verdict->state);

                continue;
            }
            $fits += $isMade ? 1 : 0;
            $this->standsFree($plan, "layout $number");
            $this->standsInside($plan, "layout $number", new Dice($number));
            $this->canBeCut($plan, "layout $number", $number % 2 === 0 ? 'mm/1' : 'in/16');
        }
        self::assertGreaterThanOrEqual($made / 2, $fits, "$fits of $made fit");
    }

    /** @return list<array{RunFrame, ?FittedRun}> all that assemblies are of, in their order: runs, and what lies on walls */
    private static function stands(SpacePlan $plan): array
    {
        return [...array_map(fn (FittedRun $run) => [$run->frame, $run], $plan->layout->runs ?? []), ...array_map(fn (FittedSurface $surface) => [$surface->frame, null], $plan->layout->surfaces ?? [])];
    }

    private function standsFree(SpacePlan $plan, string $name): void
    {
        $all = $grants = [];
        foreach (self::stands($plan) as $i => [$frame]) {
            $grants += $plan->assemblies[$i]->grants();
            foreach ($plan->assemblies[$i]->placed as $placed) {
                $all[] = [$placed, $placed->solid()->mapped(fn (array $at) => [$frame->point($at[0], $at[1])->x, $frame->point($at[0], $at[1])->y, $at[2]])];
            }
        }
        foreach ($all as $i => [$a, $solid]) {
            foreach (array_slice($all, $i + 1) as [$b, $other]) {
                $most = self::TOUCH + ($grants[$a->piece->key.'|'.$b->piece->key] ?? 0.0);
                self::assertLessThanOrEqual($most, $solid->overlap($other, $most), "$name: {$a->piece->mark} in {$b->piece->mark}");
            }
        }
    }

    /** Points all over every piece lie before the wall behind, between those beside, and under the ceiling of its run's frame. */
    private function standsInside(SpacePlan $plan, string $name, Dice $dice): void
    {
        foreach (self::stands($plan) as $r => [$frame, $run]) {
            foreach ($plan->assemblies[$r]->placed as $placed) {
                $may = self::TOUCH + ($run === null ? 0.0 : $this->mayRemain($run, $placed));
                foreach ($placed->solid()->parts as $part) {
                    $corners = $part->corners();
                    for ($i = 0; $i < self::POINTS + count($corners); $i++) {
                        [$u, $v, $z] = $i < count($corners) ? $corners[$i] : self::between($dice->pick($corners), $dice->pick($corners), $dice->fraction());
                        $where = sprintf('%s: %s at %.1f, %.1f, %.1f', $name, $placed->piece->mark, $u, $v, $z);
                        self::assertLessThanOrEqual($frame->ceilingAt($u, $v) + $may, $z, $where);
                        if ($v < $frame->mouth() - 6.0 && $z >= 0.0) {
                            self::assertGreaterThanOrEqual($frame->leftAt($v, $z) - $may, $u, $where);
                            self::assertLessThanOrEqual($frame->rightAt($v, $z) + $may, $u, $where);
                            self::assertGreaterThanOrEqual($frame->backAt($u, $z) - $may, $v, $where);
                        }
                    }
                }
            }
        }
    }

    /**
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @return array{float, float, float}
     */
    private static function between(array $a, array $b, float $share): array
    {
        return [$a[0] + $share * ($b[0] - $a[0]), $a[1] + $share * ($b[1] - $a[1]), $a[2] + $share * ($b[2] - $a[2])];
    }

    private function mayRemain(FittedRun $run, Placed $placed): float
    {
        $may = 0.0;
        foreach ($placed->piece->works as $work) {
            $may = $work instanceof Scribed ? max($may, $run->edge($work->to, $placed->owner)?->scribe?->mayRemain() ?? 0.0) : $may;
        }

        return $may;
    }

    private function canBeCut(SpacePlan $plan, string $name, string $measure): void
    {
        $job = JobReader::read(JobChoices::defaults('Test', $measure) + ['ways_in' => [], 'spaces' => []]);
        $cut = (new Planner())->cut($job, $plan->pieces());
        self::assertSame([], array_map(fn ($unplaced) => $unplaced->name.': '.$unplaced->reason, $cut->unplaced()), $name);
    }
}
