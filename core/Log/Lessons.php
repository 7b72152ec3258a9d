<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Install\Product;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Rule;

/** What the last jobs of a home teach. If one thing explains another, only the one is told. */
final readonly class Lessons
{
    /** So many jobs are looked at. */
    public const JOBS = 10;

    private const PIECES = 8;

    private const OFF = [0.3, 1 / 64];

    private const STRIPS = 3;

    private const KERF_OFF = 0.2;

    private const SHEETS = 3;

    private const THICKNESS_OFF = 0.3;

    private const JAMS = 3;

    private const LEFT = 0.5;

    private const LOOSE = [6.0, 1 / 4];

    private const LEAST_ALLOWANCE = [2.0, 5 / 64];

    private const TWICE = 2;

    private const SLOWER = 1.25;

    /** @param list<JobRecord> $records newest last */
    public function __construct(private array $records, private LengthFormat $format)
    {
    }

    /** @return list<Lesson> */
    public function all(): array
    {
        return array_values(array_filter([
            ...$this->sawsOff(), $this->kerf(), ...$this->thicknesses(), $this->jams(), $this->loose(),
            $this->often(ProblemKind::ScribeShort, Rule::ScribeReserve, [3.0, 1 / 8], 'Scribes run out', 'reserve'),
            $this->often(ProblemKind::NotchTwice, Rule::NotchPlay, [2.0, 1 / 16], 'Notches are cut twice', 'notch'),
            $this->often(ProblemKind::DoorRubs, Rule::DoorReveal, [0.5, 1 / 64], 'Doors rub', 'reveal'),
            ...$this->drying(), $this->pace(),
        ]));
    }

    /** @return list<Lesson> tools whose pieces come out too long or too short */
    private function sawsOff(): array
    {
        $lessons = [];
        foreach ($this->biases() as $tool => $bias) {
            $by = $this->fine(abs($bias->mean));
            $lessons[] = new Lesson("saw:$tool", sprintf('Pieces from the %s come out %s %s', $tool, $by, $bias->mean > 0 ? 'long' : 'short'), sprintf('Set it %s %s than the plan says, after a test strip: its scale is off.', $by, $bias->mean > 0 ? 'less' : 'more'), [
                sprintf('%d pieces measured: %s on average, give or take %s.', count($bias->values), $this->signed($bias->mean), $this->fine($bias->half)),
            ], count($bias->values));
        }

        return $lessons;
    }

    /** @return array<string, Bias> by tool, those that are off */
    private function biases(): array
    {
        $by = [];
        foreach ($this->records as $record) {
            foreach ($record->cut as $one) {
                $by[$one['tool']][] = $one['delta'];
            }
        }
        $biases = array_map(fn (array $deltas) => new Bias($deltas), array_filter($by, fn (array $deltas) => count($deltas) >= self::PIECES));

        return array_filter($biases, fn (Bias $bias) => $bias->isOff($this->either(self::OFF)));
    }

    private function kerf(): ?Lesson
    {
        $kerfs = [];
        foreach ($this->records as $record) {
            foreach ($record->strips as $strip) {
                $kerfs[] = ($strip['rest'] - $strip['measured']) / max(1, $strip['cuts']);
            }
        }
        if (count($kerfs) < self::STRIPS) {
            return null;
        }
        $mean = array_sum($kerfs) / count($kerfs);
        $known = $this->newest()->rules['kerf'];
        if (abs($mean - $known) < self::KERF_OFF) {
            return null;
        }
        $value = Length::ofDouble(round($mean, 1));

        return new Lesson('kerf', sprintf('Each cut takes %s, not %s', $this->fine($mean), $this->fine($known)), sprintf('Kerf: %s.', $this->fine(round($mean, 1))), [sprintf('%d strips, by what remained of them.', count($kerfs))], count($kerfs), 'rules.'.Rule::Kerf->value, $this->stored($value));
    }

    /** @return list<Lesson> */
    private function thicknesses(): array
    {
        $by = [];
        foreach ($this->records as $record) {
            foreach ($record->thickness as $one) {
                $by[$one['material']][] = $one;
            }
        }
        $lessons = [];
        foreach ($by as $material => $all) {
            $mean = array_sum(array_column($all, 'measured')) / count($all);
            $usual = $all[count($all) - 1]['usual'];
            if (count($all) >= self::SHEETS && abs($mean - $usual) >= self::THICKNESS_OFF) {
                $value = Length::ofDouble(round($mean, 1));
                $lessons[] = new Lesson("thickness:$material", sprintf('%s is %s thick, not %s', $all[0]['name'], $this->fine($mean), $this->fine($usual)), sprintf('New jobs begin with %s.', $this->fine(round($mean, 1))), [sprintf('%d sheets by callipers: %s off.', count($all), $this->fine(abs($mean - $usual)))], count($all), "thickness.$material", $this->stored($value));
            }
        }

        return $lessons;
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
                        $places[] = sprintf('A box jammed by %s.', $this->fine($fit['by']));
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

        return new Lesson('jams', 'Boxes jam', sprintf('%s: %s each side instead of %s.', Rule::SideAllowance->label(), $this->format->write($value), $this->fine($known)), $places, count($left), 'rules.'.Rule::SideAllowance->value, $this->stored($value));
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
                if ($fit['how'] === FitKind::Loose && $fit['by'] > $this->either(self::LOOSE)) {
                    $spare[] = $fit['by'];
                }
            }
        }
        $known = $this->records === [] ? 0.0 : $this->newest()->rules['allowance'];
        $value = $spare === [] ? $known : max($this->either(self::LEAST_ALLOWANCE), $known - min($spare) / 2);
        if (count($spare) < self::JAMS || $value >= $known) {
            return null;
        }
        $stored = Length::ofDouble($value)->roundedUp($this->format->step);

        return new Lesson('loose', 'Boxes have more room than they need', sprintf('%s: %s each side instead of %s.', Rule::SideAllowance->label(), $this->format->write($stored), $this->fine($known)), [sprintf('%d boxes with %s or more to spare.', count($spare), $this->fine(min($spare)))], count($spare), 'rules.'.Rule::SideAllowance->value, $this->stored($stored));
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
        $value = Length::ofDouble($this->newest()->rules[$known] + $this->either($more));

        return new Lesson($kind->value, $title, sprintf('%s: %s instead of %s.', $rule->label(), $this->format->fine()->write($value), $this->fine($this->newest()->rules[$known])), [sprintf('%d times noted.', $count)], $count, "rules.$rule->value", $this->stored($value));
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

    private function newest(): JobRecord
    {
        return $this->records[count($this->records) - 1];
    }

    /** @param array{float, float} $size */
    private function either(array $size): float
    {
        return $this->format->unit->isMetric() ? $size[0] : $size[1] * 25.4;
    }

    private function fine(float $millimetres): string
    {
        return $this->format->finest()->write(Length::ofDouble($millimetres));
    }

    private function signed(float $millimetres): string
    {
        return ($millimetres < 0.0 ? '−' : '+').$this->fine(abs($millimetres));
    }

    /** @return array{nm: int, typed: string} */
    private function stored(Length $length): array
    {
        return ['nm' => $length->nanometres(), 'typed' => $this->format->finest()->write($length)];
    }
}
