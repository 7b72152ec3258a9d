<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;

/**
 * A length: as typed, or in its stored form `{nm, typed}`. It is usually what a house rule says, or what is given for both
 * unit systems, or, where nothing is given, worked out by the unit from its place: then its value is null.
 */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Size extends Parameter
{
    /**
     * @param  Rule|array{string, string}|null  $usual  a rule, or the length in mm and in inches as one types it
     * @param  float  $least  mm
     * @param  float  $most  mm
     */
    public function __construct(string $label, public Rule|array|null $usual, public float $least, public float $most, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'size';
    }

    public function usual(HouseRules $rules): ?Length
    {
        return match (true) {
            $this->usual === null => null,
            $this->usual instanceof Rule => $rules->get($this->usual),
            default => (new LengthReader($rules->unit))->read($this->usual[$rules->unit === Unit::Inch ? 1 : 0]),
        };
    }

    public function stored(mixed $given, LengthFormat $format): array
    {
        if (is_array($given) && is_int($given['nm'] ?? null)) {
            $length = Length::ofNanometres($given['nm']);
            $typed = is_string($given['typed'] ?? null) ? $given['typed'] : '';
        } else {
            $typed = is_scalar($given) ? trim((string) $given) : '';
            $length = (new LengthReader($format->unit))->read($typed);
        }
        [$least, $most] = $this->limits();
        if ($length->isLessThan($least) || $length->isGreaterThan($most)) {
            throw new Unreadable(sprintf('“%s” was understood as %s. It must be between %s and %s.', $typed, $format->write($length), $format->write($least->roundedUp($format->step)), $format->write($most->roundedDown($format->step))));
        }

        return ['nm' => $length->nanometres(), 'typed' => $typed];
    }

    /** @return array{Length, Length} */
    private function limits(): array
    {
        return [Length::ofDouble($this->least), Length::ofDouble($this->most)];
    }

    public function value(mixed $stored): mixed
    {
        return is_array($stored) && is_int($stored['nm'] ?? null) ? Length::ofNanometres($stored['nm']) : null;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return $value instanceof Length ? ['value' => $value->nanometres(), 'text' => $format->writeCut($value)] : ['value' => null, 'text' => ''];
    }

    public function bounds(LengthFormat $format): array
    {
        [$least, $most] = $this->limits();

        return ['least' => ['nm' => $least->nanometres(), 'text' => $format->write($least->roundedUp($format->step))], 'most' => ['nm' => $most->nanometres(), 'text' => $format->write($most->roundedDown($format->step))]];
    }
}
