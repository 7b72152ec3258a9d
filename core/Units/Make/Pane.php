<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Units\Hardware;

/** A pane of glass in a framed leaf: it lies in a rabbet behind the frame, held by mitred beads. */
final readonly class Pane
{
    /** Width of the rabbet in which a panel or a pane lies behind its frame, in mm and in inches. */
    private const RABBET = [10.0, 3 / 8];

    /** It is smaller than its rabbets by this, mm. */
    private const PLAY = 4;

    public function __construct(private Terms $terms)
    {
    }

    public function rabbet(): Length
    {
        return $this->terms->rules->either(...self::RABBET);
    }

    /**
     * @param  float  $wide  clear in the frame, mm
     * @return list<Hardware>
     */
    public function bought(float $wide, float $high): array
    {
        $format = $this->terms->format;
        $rabbet = 2 * $this->rabbet()->toDouble();
        [$across, $up] = array_map(fn (float $size) => Length::ofDouble($size + $rabbet - self::PLAY)->roundedDown($format->step), [$wide, $high]);

        return [
            new Hardware(sprintf('toughened pane %s × %s', $format->write($up), $format->write($across)), 1, 'leaves of doors', ArticleKind::Pane),
            new Hardware('glazing bead', 1, 'leaves of doors', ArticleKind::Bead, Length::ofDouble(2 * ($wide + $high + 2 * $rabbet))->roundedUp($format->step)),
        ];
    }
}
