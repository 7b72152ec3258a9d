<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** The line on paper that one holds a rule against: 100 mm long, or 4 in for who measures in inches. */
final readonly class CheckLine
{
    /** On paper, mm. */
    public float $length;

    public string $size;

    public function __construct(bool $inches)
    {
        [$this->length, $this->size] = $inches ? [101.6, '4 in'] : [100.0, '100 mm'];
    }

    public function words(): string
    {
        return "This line is $this->size long. If a rule says otherwise, print again at 100 %.";
    }
}
