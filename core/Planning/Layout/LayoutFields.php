<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\TopForm;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Planning\Field;

/** The fields of runs, bays and tiers, and what each takes; what stands in them is `UnitChoices`' business. */
final readonly class LayoutFields
{
    public function __construct(private LengthFormat $format, private int $walls)
    {
    }

    public function run(string $name): ?Field
    {
        return match ($name) {
            'wall' => Field::whole('Wall', 0, $this->walls - 1),
            'height' => $this->length('Height of the run', 100, 6000),
            'depth' => $this->length('Depth of the run', 100, 3000),
            'left' => Field::oneOf('Left end', self::values(RunEnd::cases())),
            'right' => Field::oneOf('Right end', self::values(RunEnd::cases())),
            'from' => Field::text('Begins beside', 120)->orComputed(),
            'to' => Field::text('Ends beside', 120)->orComputed(),
            default => null,
        };
    }

    public function bay(string $name): ?Field
    {
        return match ($name) {
            'size' => $this->size('Width of the bay'),
            'joined' => Field::yesNo('Shares a board with the bay to its left'),
            'top' => Field::oneOf('Under a slope', self::values(TopForm::cases())),
            'snap' => Field::text('Lines up with', 60)->orComputed(),
            default => null,
        };
    }

    public function tier(string $name): ?Field
    {
        return match ($name) {
            'size' => $this->size('Height of the tier'),
            'joined' => Field::yesNo('Shares a board with the tier below it'),
            'depth' => $this->length('Depth of the tier', 50, 3000),
            'snap' => Field::text('Lines up with', 60)->orComputed(),
            default => null,
        };
    }

    public function closing(): Field
    {
        return Field::oneOf('Closed with', self::values(Closing::cases()))->orComputed();
    }

    private function length(string $label, int $least, int $most): Field
    {
        return Field::length($label, $this->format, Length::ofMillimetres($least), Length::ofMillimetres($most))->orComputed();
    }

    /** A share, {"share": 4}, or a length; nothing typed is the usual share. */
    private function size(string $label): Field
    {
        $length = Field::length($label, $this->format, Length::ofMillimetres(10), Length::ofMillimetres(6000));

        return Field::of($label, function (mixed $value) use ($length): array {
            if ($value === null || $value === '') {
                return ['share' => Size::USUAL];
            }
            $share = is_array($value) ? ($value['share'] ?? null) : null;
            if ($share !== null) {
                return is_int($share) && $share >= 1 && $share <= Size::MOST ? ['share' => $share] : throw new Unreadable(sprintf('A share is a whole number from 1 to %d.', Size::MOST));
            }

            return $length->read($value);
        });
    }

    /**
     * @param  array<\BackedEnum>  $cases
     * @return list<string>
     */
    private static function values(array $cases): array
    {
        return array_values(array_map(fn (\BackedEnum $case) => (string) $case->value, $cases));
    }
}
