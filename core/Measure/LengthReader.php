<?php

declare(strict_types=1);

namespace Incastro\Measure;

use Brick\Math\RoundingMode;

/**
 * Reads what people type for a length: mixed numbers, feet and inches, decimals with comma or point, unit words and
 * sums. A bare number is in the unit given. The browser's reader passes the same vectors (tests/vectors/lengths.json).
 */
final readonly class LengthReader
{
    public const LONGEST_METRES = 30;

    private const LONGEST_TEXT = 100;

    public function __construct(private Unit $unit)
    {
    }

    /**
     * @throws Unreadable with a sentence that says what was understood and what would be right
     */
    public function read(string $text): Length
    {
        $length = $this->readSigned($text);
        if ($length->isNegative()) {
            throw new Unreadable(sprintf('“%s” comes to less than nothing. Type a length of 0 or more.', trim($text)));
        }

        return $length;
    }

    /**
     * Reads a length that may be negative, such as a lean away from the room.
     *
     * @throws Unreadable
     */
    public function readSigned(string $text): Length
    {
        if (trim($text) === '') {
            throw new Unreadable(sprintf('Nothing was typed. Type a length such as %s.', $this->example()));
        }
        if (mb_strlen($text) > self::LONGEST_TEXT) {
            throw new Unreadable('That is too long for a length. Type one length, such as '.$this->example().'.');
        }
        $value = (new LengthSum(new LengthTokens($text), $this->unit))->value();
        $nanometres = $value->toScale(0, RoundingMode::HALF_UP);
        $most = self::LONGEST_METRES * Unit::Metre->nanometres();
        if ($nanometres->abs()->isGreaterThan($most)) {
            throw new Unreadable(sprintf('“%s” is more than 30 m, which is more than a room. Check the unit; a bare number is read in %s.', trim($text), $this->unit === Unit::Inch ? 'inches' : $this->unit->value));
        }

        return Length::ofNanometres($nanometres->toInt());
    }

    private function example(): string
    {
        return $this->unit->isMetric() ? '803 or 80.3 cm' : '31 5/8 or 2\' 7 5/8"';
    }
}
