<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/** A few words of the person's own. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Text extends Parameter
{
    public function __construct(string $label, public string $usual, public int $longest = 80, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'text';
    }

    public function usual(HouseRules $rules): string
    {
        return $this->usual;
    }

    public function stored(mixed $given, LengthFormat $format): string
    {
        $text = is_string($given) ? trim($given) : '';
        if ($text === '' || mb_strlen($text) > $this->longest) {
            throw new Unreadable(sprintf('It needs 1 to %d letters.', $this->longest));
        }

        return $text;
    }

    public function value(mixed $stored): mixed
    {
        return $stored;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return ['value' => $value, 'text' => is_string($value) ? $value : ''];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['most' => $this->longest];
    }
}
