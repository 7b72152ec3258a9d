<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** A part of a text that is drawn: plain words, or a fraction, whose figures stand over each other. */
final readonly class Lettering
{
    private function __construct(public string $plain, public string $over = '', public string $under = '')
    {
    }

    /** @return list<self> the parts of a text, in order; the space between a whole and its fraction falls away */
    public static function of(string $text): array
    {
        $parts = preg_split('~ ?(?<![\d/])(\d+/\d+)(?![\d/])~', $text, flags: PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];

        return array_map(self::part(...), $parts);
    }

    public function isFraction(): bool
    {
        return $this->over !== '';
    }

    private static function part(string $text): self
    {
        return preg_match('~^(\d+)/(\d+)$~', $text, $figures) === 1 ? new self('', $figures[1], $figures[2]) : new self($text);
    }
}
