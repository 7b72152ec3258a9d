<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** Sheets of labels as they are sold. All in mm. */
enum LabelGrid: string
{
    case A4By24 = 'a4-24';
    case A4By21 = 'a4-21';
    case LetterBy30 = 'letter-30';

    /** @return array{columns: int, rows: int, wide: float, high: float, left: float, top: float, step: float} */
    public function measures(): array
    {
        return match ($this) {
            self::A4By24 => ['columns' => 3, 'rows' => 8, 'wide' => 70.0, 'high' => 37.0, 'left' => 0.0, 'top' => 0.5, 'step' => 70.0],
            self::A4By21 => ['columns' => 3, 'rows' => 7, 'wide' => 63.5, 'high' => 38.1, 'left' => 7.25, 'top' => 15.15, 'step' => 66.0],
            self::LetterBy30 => ['columns' => 3, 'rows' => 10, 'wide' => 66.7, 'high' => 25.4, 'left' => 4.76, 'top' => 12.7, 'step' => 69.85],
        };
    }

    public function paper(): string
    {
        return $this === self::LetterBy30 ? 'LETTER' : 'A4';
    }

    public function label(): string
    {
        return match ($this) {
            self::A4By24 => '24 on A4, 70 × 37 mm',
            self::A4By21 => '21 on A4, 63.5 × 38.1 mm',
            self::LetterBy30 => '30 on Letter, 2 5/8 × 1 in',
        };
    }
}
