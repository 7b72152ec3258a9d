<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Fit\Terms;
use Incastro\Strength\Loads;
use Incastro\Strength\Studs;
use Incastro\Units\Hardware;
use Incastro\Units\Make\Screws;

/** What holds a bed's ledger to studs: as many screws in each as its share of the bed and one person beside it ask (handbook, "Strength"). */
final readonly class LedgerScrews
{
    /** So thick, mm. */
    private const SCREW = 6;

    private int $each;

    /**
     * @param  float  $share  of the bed's load that the ledger along its length takes
     * @param  float  $long  of the bed, mm
     */
    public function __construct(private Terms $terms, float $share, float $long)
    {
        $this->each = Studs::screws(Studs::atOne($share * Loads::newtons(Loads::BED) / max(1.0, $long), Studs::APART), self::SCREW);
    }

    /** Of a ledger so thick and so long, mm. */
    public function of(float $thick, float $long): Hardware
    {
        return (new Screws($this->terms->materials, $this->terms->format))->structuralPast($thick, $this->each * (1 + Studs::surely($long, Studs::APART)), 'ledgers of beds');
    }
}
