<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/** Several lengths in their order, typed one after another with “;” between them; usually none. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Sizes extends Parameter
{
    private const LONGEST = 80;

    /**
     * @param  float  $least  of each, mm
     * @param  float  $most  mm
     * @param  array{string, string}|null  $usual  where nothing is typed, in mm and in inches, with “;” between them; else none
     */
    public function __construct(string $label, public int $count, public float $least, public float $most, string $help = '', public ?array $usual = null)
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'sizes';
    }

    /** @return list<Length> */
    public function usual(HouseRules $rules): array
    {
        $reader = new LengthReader($rules->unit);

        return $this->usual === null ? [] : array_map($reader->read(...), explode(';', $this->usual[$rules->unit->isMetric() ? 0 : 1]));
    }

    public function stored(mixed $given, LengthFormat $format): array
    {
        $each = new Size($this->label, null, $this->least, $this->most);
        $parts = is_array($given) ? $given : preg_split('/;|,\s|\n/', is_scalar($given) ? (string) $given : '', -1, PREG_SPLIT_NO_EMPTY);
        if ($parts === false || $parts === [] || count($parts) > $this->count) {
            throw new Unreadable(sprintf('Type 1 to %d lengths with “;” between them.', $this->count));
        }

        return array_map(fn (mixed $part): array => $each->stored($part, $format), array_values($parts));
    }

    /** @return list<Length> */
    public function value(mixed $stored): array
    {
        return array_map(fn (array $one): Length => Length::ofNanometres($one['nm']), is_array($stored) ? array_values($stored) : []);
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        $text = implode('; ', array_map($format->finest()->withoutUnit(...), is_array($value) ? $value : []));

        return ['value' => $text, 'text' => $text];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['most' => self::LONGEST];
    }
}
