<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Measure\Length;
use Incastro\Planning\SawChoices;
use Incastro\Rules\Rule;
use Incastro\Saw\Tools;
use Incastro\Saw\Way;

/** What sizes as cut teach: of the saws, the kerf, the yard and how thick a material is. */
final readonly class SawLessons
{
    private const PIECES = 8;

    private const OFF = [0.3, 1 / 64];

    private const STRIPS = 3;

    private const KERF_OFF = 0.2;

    private const SHEETS = 3;

    private const THICKNESS_OFF = 0.3;

    private const YARD_PARTS = 5;

    /** So many of a hundred parts of the yard are within its tolerance. */
    private const WITHIN = 0.95;

    private const YARD_STEP = [1.0, 1 / 16];

    /**
     * @param  non-empty-list<JobRecord>  $records  newest last
     * @param  Tools  $tools  as they are set now
     */
    public function __construct(private array $records, private Tools $tools, private LessonWords $words)
    {
    }

    /** @return list<?Lesson> */
    public function all(): array
    {
        return [...$this->sawsOff(), $this->kerf(), $this->yard(), ...$this->thicknesses()];
    }

    /** @return list<Lesson> ways of cutting whose pieces come out too long or too short, set as they are now */
    private function sawsOff(): array
    {
        $by = [];
        foreach ($this->records as $record) {
            foreach ($record->cut as $one) {
                $by[$one['way']][] = $one['delta'] - $one['setOff'];
            }
        }
        $lessons = [];
        foreach ($by as $value => $alone) {
            $way = Way::tryFrom((string) $value);
            if ($way !== null && count($alone) >= self::PIECES) {
                $now = $this->tools->setOff($way) / 1e6;
                $bias = new Bias(array_map(fn (float $one): float => $one + $now, $alone));
                $lessons[] = $bias->isOff($this->words->either(self::OFF)) ? $this->sawOff($way, $bias, $now) : null;
            }
        }

        return array_values(array_filter($lessons));
    }

    private function sawOff(Way $way, Bias $bias, float $now): Lesson
    {
        $by = $this->words->fine(abs($bias->mean));
        $setOff = Length::ofDouble($now - $bias->mean)->rounded($this->words->format->finest()->step);
        [$saw, $name, $known, $figure] = match ($way) {
            Way::Fence => ['table_saw', 'correction', $now, $setOff],
            Way::Stop => ['mitre_saw', 'correction', $now, $setOff],
            Way::GuideOnPiece => ['guided_saw', 'offset', -$now, Length::zero()->minus($setOff)],
            Way::GuideOnWaste => ['guided_saw', 'offset_waste', $now, $setOff],
            Way::Sled, Way::Yard => ['', '', 0.0, null],
        };
        $set = $figure === null
            ? sprintf('set its stop %s %s', $by, $bias->mean > 0 ? 'lower' : 'higher')
            : sprintf('%s: %s instead of %s', SawChoices::labels()[$saw][$name], $this->words->signed($figure->toDouble()), $this->words->signed($known));

        return new Lesson("saw:$way->value", sprintf('Pieces from the %s come out %s %s', $way->value, $by, $bias->mean > 0 ? 'long' : 'short'), "Cut a trial strip first. If it comes out so too: $set.", [
            sprintf('%d pieces measured: %s on average, give or take %s.', count($bias->values), $this->words->signed($bias->mean), $this->words->fine($bias->half)),
        ], count($bias->values), $figure === null ? null : "saws.$saw.$name", $figure === null ? null : $this->words->stored($figure));
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
        $known = $this->records[count($this->records) - 1]->rules['kerf'];
        if (abs($mean - $known) < self::KERF_OFF) {
            return null;
        }
        $value = Length::ofDouble(round($mean, 1));

        return new Lesson('kerf', sprintf('Each cut takes %s, not %s', $this->words->fine($mean), $this->words->fine($known)), sprintf('Kerf: %s.', $this->words->fine(round($mean, 1))), [sprintf('%d strips, by what remained of them.', count($kerfs))], count($kerfs), 'rules.'.Rule::Kerf->value, $this->words->stored($value));
    }

    /** Its parts are further off than it promises: what is left to saw at home must hold that too. */
    private function yard(): ?Lesson
    {
        $off = array_map(abs(...), array_merge([], ...array_map(fn (JobRecord $record) => $record->yard, $this->records)));
        if ($this->tools->yard === null || count($off) < self::YARD_PARTS) {
            return null;
        }
        sort($off);
        $worst = $off[(int) ceil(self::WITHIN * count($off)) - 1];
        $tolerance = Length::ofNanometres($this->tools->yard->tolerance);
        $found = Length::ofDouble($worst)->roundedUp(Length::ofDouble($this->words->either(self::YARD_STEP)));
        if ($worst <= $tolerance->toDouble()) {
            return null;
        }
        $oversize = Length::ofNanometres($this->tools->yard->oversize)->plus($found)->minus($tolerance);

        return new Lesson('yard', sprintf('The yard cuts to ± %s, not to ± %s', $this->words->fine($found->toDouble()), $this->words->fine($tolerance->toDouble())), sprintf('It is believed to ± %s, and asked for %s on top of each part.', $this->words->fine($found->toDouble()), $this->words->fine($oversize->toDouble())), [
            sprintf('%d parts measured: 95 of 100 are within %s of what was asked for.', count($off), $this->words->fine($worst)),
        ], count($off), 'saws.yard', ['tolerance' => $this->words->stored($found), 'oversize' => $this->words->stored($oversize)]);
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
                $lessons[] = new Lesson("thickness:$material", sprintf('%s is %s thick, not %s', $all[0]['name'], $this->words->fine($mean), $this->words->fine($usual)), sprintf('New jobs begin with %s.', $this->words->fine(round($mean, 1))), [sprintf('%d sheets by callipers: %s off.', count($all), $this->words->fine(abs($mean - $usual)))], count($all), "thickness.$material", $this->words->stored($value));
            }
        }

        return $lessons;
    }
}
