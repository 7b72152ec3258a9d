<?php

declare(strict_types=1);

namespace Tests\Core;

use Closure;
use Incastro\Measure\Angle;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpaceChoices;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;

/**
 * A made-up alcove whose walls are known, and the readings that a perfect tape would give of it. Its widths are taken at
 * the floor, half way up and at the ceiling, with a level half as long as the alcove is high.
 */
final class TestAlcove
{
    /** @var array<string, float> what was read instead of the truth, in mm or degrees, signed as its slot's first end */
    private array $instead = [];

    /** @var list<string> */
    private array $without = ['corner-left', 'corner-right', 'plumb-back-low', 'plumb-back-high', 'height-middle', 'height-mouth', 'floor-rise'];

    /**
     * @param  Closure(float, float): float  $left  u of the left wall at depth v and height z
     * @param  Closure(float, float): float  $right
     */
    public function __construct(
        private readonly Closure $left,
        private readonly Closure $right,
        public readonly float $depth = 600.0,
        public readonly float $height = 2400.0,
        private readonly float $fall = 0.0,
        private readonly float $skirting = 0.0,
        private readonly ?float $inFront = 2500.0,
    ) {
    }

    /** The first worked example: 1203 at the floor, 1210 half way, 1196 at the top; left leans in 7, right bows out 10.5. */
    public static function leaning(): self
    {
        return new self(
            fn (float $v, float $z) => 7.0 * $z / 2400.0,
            fn (float $v, float $z) => 1203.0 + 10.5 * (1 - abs($z - 1200.0) / 1200.0),
        );
    }

    /** The second: both walls lean 7 mm to the right, and every width is 1203. */
    public static function parallel(): self
    {
        return new self(fn (float $v, float $z) => 7.0 * $z / 2400.0, fn (float $v, float $z) => 1203.0 + 7.0 * $z / 2400.0);
    }

    /** The third: plumb walls, 1200 apart everywhere, that run 15 mm to the right over 600 of depth. */
    public static function skewed(): self
    {
        return new self(fn (float $v, float $z) => 15.0 * $v / 600.0, fn (float $v, float $z) => 1200.0 + 15.0 * $v / 600.0);
    }

    public function reading(string $slot, float $value): self
    {
        $copy = clone $this;
        $copy->instead[$slot] = $value;

        return $copy;
    }

    public function without(string ...$slots): self
    {
        $copy = clone $this;
        $copy->without = [...$copy->without, ...array_values($slots)];

        return $copy;
    }

    public function with(string ...$slots): self
    {
        $copy = clone $this;
        $copy->without = array_values(array_diff($copy->without, $slots));

        return $copy;
    }

    public function choices(): SheetChoices
    {
        $mm = Length::ofDouble(...);

        return new SheetChoices($mm(0.0), $mm($this->height / 2), $mm(0.0), $mm(20.0), $mm(20.0), $mm($this->height / 2));
    }

    public function survey(): Survey
    {
        return $this->surveyOf($this->takes());
    }

    /** @param list<Take> $takes */
    public function surveyOf(array $takes): Survey
    {
        return (new SpaceSurvey($this->sheet(), $takes, [], LengthFormat::millimetres()))->solve();
    }

    public function sheet(): Sheet
    {
        return new Sheet(SpaceShape::of(SpaceKind::Alcove), $this->choices());
    }

    /** @return list<Take> */
    public function takes(): array
    {
        $sheet = $this->sheet();
        $known = [];
        foreach ($sheet->slots() as $slot) {
            if (in_array($slot->kind, [ReadingKind::Height, ReadingKind::Depth], true)) {
                $known[$slot->id] = new \Incastro\Survey\Reading($slot, [$this->take($slot)]);
            }
        }
        $takes = [];
        foreach ($sheet->knowing($known)->slots() as $slot) {
            if (! in_array($slot->id, $this->without, true) && ! ($slot->id === 'height-front' && $this->inFront === null)) {
                $takes[] = $this->take($slot);
            }
        }

        return $takes;
    }

    private function take(Slot $slot): Take
    {
        $value = $this->instead[$slot->id] ?? $this->truth($slot);
        $end = $slot->ends === [] ? null : $slot->ends[$value < 0 ? 1 : 0];

        return new Take($slot->id, $slot->id, $slot->kind->isAngle() ? Angle::ofDegrees($value) : Length::ofDouble(abs($value)), $end);
    }

    public function truth(Slot $slot): float
    {
        $mid = $this->height / 2;
        $isLeft = str_contains($slot->id, 'left');
        $wall = $isLeft ? $this->left : $this->right;
        $inward = $isLeft ? 1 : -1;
        $across = fn (float $v) => [($this->left)($v, $mid), ($this->right)($v, $mid)];

        return match ($slot->kind) {
            ReadingKind::Height => $slot->id === 'height-front' ? (float) $this->inFront : $this->height + ($slot->id === 'height-right' ? $this->fall : 0.0),
            ReadingKind::Width => ($this->right)((float) $slot->depth, (float) $slot->height) - ($this->left)((float) $slot->depth, (float) $slot->height),
            ReadingKind::Depth => hypot($this->depth, $wall($this->depth, $mid) - $wall(0.0, $mid)),
            ReadingKind::Diagonal => $isLeft ? hypot($across($this->depth)[1] - $across(0.0)[0], $this->depth) : hypot($across($this->depth)[0] - $across(0.0)[1], $this->depth),
            ReadingKind::Corner => rad2deg(atan2($this->depth, $inward * ($wall($this->depth, $mid) - $wall(0.0, $mid)))),
            ReadingKind::Plumb => str_contains($slot->id, 'back') ? 0.0 : $inward * ($wall((float) $slot->depth, (float) $slot->height + (float) $slot->span) - $wall((float) $slot->depth, (float) $slot->height)),
            ReadingKind::Rise => 0.0,
            ReadingKind::Fall => $slot->id === 'fall-across' ? $this->fall : 0.0,
            default => $slot->id === 'skirting-height' ? $this->skirting : ($this->skirting > 0 ? 15.0 : 0.0),
        };
    }

    /**
     * A job with this alcove in it.
     *
     * @param  array<string, mixed>  $layout  sizes of its one box as typed, counts of shelves, and closings by side
     * @param  array<string, mixed>  $changes  what differs in the job's document
     */
    public function job(string $measure = 'mm/1', array $layout = [], array $changes = []): Job
    {
        $format = LengthFormat::of($measure);
        $reader = new LengthReader($format->unit);
        $space = ['texture' => 'plane', 'asks_front' => false] + SpaceChoices::defaults('Alcove', $format);
        $sizes = [];
        foreach (['width', 'height', 'depth'] as $name) {
            $sizes[$name] = is_string($layout[$name] ?? null) ? ['nm' => $reader->read($layout[$name])->nanometres(), 'typed' => $layout[$name]] : null;
        }
        $space['layout'] = Recipe::oneBox('run', 'box', $sizes, $layout['fixed_shelves'] ?? 1, $layout['adjustable_shelves'] ?? 4);
        foreach (array_filter($layout['closings'] ?? [], is_string(...)) as $side => $closing) {
            $space['layout']['closings']["$side:box"] = $closing;
        }
        $stored = fn (?Length $length) => $length === null ? null : ['nm' => $length->nanometres(), 'typed' => ''];
        $choices = $this->choices();
        $space['sheet'] = array_map($stored, ['low' => $choices->low, 'middle' => $choices->middle, 'high' => $choices->high, 'back' => $choices->back, 'front' => $choices->front, 'level' => $choices->level]);
        $space['takes'] = array_map(fn (Take $take) => [
            'id' => $take->id, 'slot' => $take->slot, 'end' => $take->end,
            'value' => $take->value instanceof Angle ? ['microdegrees' => $take->value->microdegrees(), 'typed' => ''] : ['nm' => $take->value->nanometres(), 'typed' => ''],
        ], $this->takes());

        return JobReader::read(array_replace(JobChoices::defaults('Test', $measure), $changes) + ['ways_in' => [], 'spaces' => [['id' => 'space'] + $space]]);
    }

    public static function inches(string $text): float
    {
        return (new LengthReader(Unit::Inch))->read($text)->toDouble();
    }
}
