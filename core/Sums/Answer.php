<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;

/** One answer of a sum: what it is called, how it is written, and, of a length that was added up, how it came about. */
final readonly class Answer
{
    /**
     * @param  list<Length>  $marks  of several along a line, each rounded once
     * @param  ?Length  $length  what it is, where that is a length that was not added up
     */
    public function __construct(public string $label, public string $text, public ?Working $working = null, public array $marks = [], private ?Length $length = null)
    {
    }

    /** What a field for a length takes over, where the answer is one. */
    public function asLength(): ?Length
    {
        return $this->working->result ?? $this->length;
    }

    public static function length(string $label, Working $working, LengthFormat $format): self
    {
        return new self($label, $format->writeCut($working->result), $working);
    }

    public static function mm(string $label, float $mm, LengthFormat $format): self
    {
        $length = Length::ofDouble($mm);

        return new self($label, $format->write($length), length: $length);
    }

    public static function degrees(string $label, float $degrees): self
    {
        return new self($label, sprintf('%.1f°', $degrees));
    }

    /**
     * Marks along a line from one end, never added up of rounded gaps.
     *
     * @param  list<Length>  $marks  exact
     */
    public static function marks(string $label, array $marks, LengthFormat $format): self
    {
        $rounded = array_map(fn (Length $mark) => $mark->rounded($format->step), $marks);

        return new self($label, implode('  ', array_map($format->withoutUnit(...), $rounded)), null, $rounded);
    }
}
