<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Install\Product;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Rule;
use Incastro\Saw\Tools;
use Incastro\Survey\Slips;

/** What the last jobs of a home teach. If one thing explains another, only the one is told. */
final readonly class Lessons
{
    /** So many jobs are looked at. */
    public const JOBS = 10;

    private const JAMS = 3;

    private const LEFT = 0.5;

    private const LOOSE = [6.0, 1 / 4];

    private const LEAST_ALLOWANCE = [2.0, 5 / 64];

    private const TWICE = 2;

    private const SLOWER = 1.25;

    private const SLIPS = 3;

    private LessonWords $words;

    /**
     * @param  non-empty-list<JobRecord>  $records  newest last
     * @param  Tools  $tools  as they are set now
     */
    public function __construct(private array $records, private LengthFormat $format, private Tools $tools)
    {
        $this->words = new LessonWords($format);
    }

    /** @return list<Lesson> */
    public function all(): array
    {
        return array_values(array_filter([
            ...(new SawLessons($this->records, $this->tools, $this->words))->all(), $this->jams(), $this->loose(),
            $this->often(ProblemKind::ScribeShort, Rule::ScribeReserve, [3.0, 1 / 8], 'Scribes run out', 'reserve'),
            $this->often(ProblemKind::NotchTwice, Rule::NotchPlay, [2.0, 1 / 16], 'Notches are cut twice', 'notch'),
            $this->often(ProblemKind::DoorRubs, Rule::DoorReveal, [0.5, 1 / 64], 'Doors rub', 'reveal'),
            ...$this->drying(), $this->pace(), ...(new BuyLessons($this->records))->all(), ...$this->slips(),
        ]));
    }

    private function jams(): ?Lesson
    {
        $left = $places = [];
        foreach ($this->records as $record) {
            foreach ($record->fits as $fit) {
                if ($fit['how'] === FitKind::Jammed) {
                    $unexplained = $fit['by'] - $this->explained($record, $fit['box']);
                    if ($unexplained > self::LEFT) {
                        $left[] = $unexplained;
                        $places[] = sprintf('A box jammed by %s.', $this->words->fine($fit['by']));
                    }
                }
            }
        }
        if (count($left) < self::JAMS) {
            return null;
        }
        $known = $this->newest()->rules['allowance'];
        $more = Length::ofDouble(max($left) / 2)->roundedUp($this->format->step);
        $value = Length::ofDouble($known)->plus($more);

        return new Lesson('jams', 'Boxes jam', sprintf('%s: %s each side instead of %s.', Rule::SideAllowance->label(), $this->format->write($value), $this->words->fine($known)), $places, count($left), 'rules.'.Rule::SideAllowance->value, $this->words->stored($value));
    }

    /** What of a jam its boards explain: as cut those that fix its width, and two sides thicker than supposed. */
    private function explained(JobRecord $record, string $box): float
    {
        $boards = array_filter($record->cut, fn (array $one) => $one['fixesWidth'] && ($one['box'] === $box || $one['box'] === ''));
        $long = $boards === [] ? 0.0 : max(0.0, max(array_column($boards, 'delta')));
        $thick = array_map(fn (array $one): float => $one['measured'] - $one['usual'], $record->thickness);

        return $long + 2 * max([0.0, ...$thick]);
    }

    private function loose(): ?Lesson
    {
        $spare = [];
        foreach ($this->records as $record) {
            foreach ($record->fits as $fit) {
                if ($fit['how'] === FitKind::Jammed) {
                    return null;
                }
                if ($fit['how'] === FitKind::Loose && $fit['by'] > $this->words->either(self::LOOSE)) {
                    $spare[] = $fit['by'];
                }
            }
        }
        $known = $this->newest()->rules['allowance'];
        $value = $spare === [] ? $known : max($this->words->either(self::LEAST_ALLOWANCE), $known - min($spare) / 2);
        if (count($spare) < self::JAMS || $value >= $known) {
            return null;
        }
        $stored = Length::ofDouble($value)->roundedUp($this->format->step);

        return new Lesson('loose', 'Boxes have more room than they need', sprintf('%s: %s each side instead of %s.', Rule::SideAllowance->label(), $this->format->write($stored), $this->words->fine($known)), [sprintf('%d boxes with %s or more to spare.', count($spare), $this->words->fine(min($spare)))], count($spare), 'rules.'.Rule::SideAllowance->value, $this->words->stored($stored));
    }

    /**
     * @param  array{float, float}  $more
     * @param  'reserve'|'notch'|'reveal'  $known
     */
    private function often(ProblemKind $kind, Rule $rule, array $more, string $title, string $known): ?Lesson
    {
        $count = count(array_filter(array_merge([], ...array_map(fn (JobRecord $record) => $record->problems, $this->records)), fn (ProblemKind $one) => $one === $kind));
        if ($count < self::TWICE) {
            return null;
        }
        $value = Length::ofDouble($this->newest()->rules[$known] + $this->words->either($more));

        return new Lesson($kind->value, $title, sprintf('%s: %s instead of %s.', $rule->label(), $this->format->fine()->write($value), $this->words->fine($this->newest()->rules[$known])), [sprintf('%d times noted.', $count)], $count, "rules.$rule->value", $this->words->stored($value));
    }

    /** @return list<Lesson> */
    private function drying(): array
    {
        $tacky = array_count_values(array_merge([], ...array_map(fn (JobRecord $record) => $record->tacky, $this->records)));
        $lessons = [];
        foreach ($tacky as $name => $count) {
            $product = Product::tryFrom((string) $name);
            if ($product !== null && $count >= self::TWICE) {
                $hours = round($product->hours() * self::SLOWER, 2);
                $lessons[] = new Lesson("drying:$name", sprintf('%s dries slower than the tin says', ucfirst($product->label())), sprintf('%s h instead of %s h.', $hours, $product->hours()), [sprintf('%d times still tacky.', $count)], $count, "hours.$name", $hours);
            }
        }

        return $lessons;
    }

    private function pace(): ?Lesson
    {
        $entries = array_merge([], ...array_map(fn (JobRecord $record) => array_map(fn (array $one) => $one + ['job' => $record->job], $record->minutes), $this->records));
        $ratio = new Ratio($entries);
        if ($entries === [] || ! $ratio->isTold()) {
            return null;
        }
        $offered = round($ratio->offered(), 2);

        return new Lesson('pace', $offered > 1 ? 'Fitting takes longer than supposed' : 'Fitting goes faster than supposed', sprintf('Minutes × %s.', $offered), [sprintf('%d times: %.0f min in all against %.0f.', count($entries), array_sum(array_column($entries, 'actual')), array_sum(array_column($entries, 'estimate')))], count($entries), 'pace', $offered);
    }

    /** @return list<Lesson> how readings go wrong again and again: no rule, but a word */
    private function slips(): array
    {
        $lessons = [];
        foreach (array_count_values(array_map(Slips::sort(...), array_merge([], ...array_map(fn (JobRecord $record) => $record->slips, $this->records)))) as $slip => $count) {
            if ($count >= self::SLIPS) {
                $lessons[] = new Lesson("slip:$slip", sprintf('Readings go wrong in one way: %s', $slip), Slips::advice((string) $slip), [sprintf('%d readings that the others proved wrong.', $count)], $count);
            }
        }

        return $lessons;
    }

    private function newest(): JobRecord
    {
        return $this->records[count($this->records) - 1];
    }
}
