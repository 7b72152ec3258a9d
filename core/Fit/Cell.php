<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;
use Incastro\Measure\Working;

/**
 * The place of a box in its run: outer sizes as decided, with their workings, and where it stands in the run's frame
 * (u from the left, z above the datum; its back is at v = 0). Its number is counted through the whole job.
 */
final readonly class Cell
{
    public function __construct(
        public string $id,
        public int $number,
        public Working $width,
        public Working $height,
        public Working $depth,
        public float $u,
        public float $z,
        public int $fixedShelves,
        public int $adjustableShelves,
    ) {
    }

    /** The short name that is written on the wood: "B2". */
    public function mark(): string
    {
        return 'B'.$this->number;
    }

    public function outerWidth(): Length
    {
        return $this->width->result;
    }

    public function outerHeight(): Length
    {
        return $this->height->result;
    }

    public function outerDepth(): Length
    {
        return $this->depth->result;
    }
}
