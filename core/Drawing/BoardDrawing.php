<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Cut\PlannedBoard;
use Incastro\Measure\LengthFormat;

/** Boards of one material to scale along their lengths, one under the other, with their pieces, ends and offcuts. */
final readonly class BoardDrawing
{
    /** Boards are drawn at least so wide, mm, so that a mark can be read on a slat. */
    private const WIDE = 90.0;

    private const APART = 70.0;

    public function __construct(private LengthFormat $format)
    {
    }

    /** @param list<PlannedBoard> $boards */
    public function of(string $name, array $boards): Drawing
    {
        $layers = ['boards' => [], 'pieces' => []];
        foreach ($boards as $i => $board) {
            $wide = max(self::WIDE, $board->stock->material->width->toDouble());
            $y = -$i * ($wide + self::APART);
            $layers['boards'][] = Outline::rectangle(0.0, $y, $board->stock->length->toDouble(), $wide, Style::Sheet, 'board-'.($i + 1));
            foreach ($board->pieces as [$piece, $from, $long]) {
                $layers['pieces'][] = Outline::rectangle($from->toDouble(), $y, $long->toDouble(), $wide, Style::Board, $piece->name);
                $layers['pieces'][] = new Label(
                    new DrawnPoint($from->toDouble() + $long->toDouble() / 2, $y + $wide / 2),
                    $piece->name.'  '.$this->format->writeCut($long),
                    Style::Label,
                    $piece->name,
                    room: $long->toDouble(),
                    short: $piece->name,
                );
            }
        }

        return new Drawing($name, $layers);
    }
}
