<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\ScribeDrawing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Writes the scribe line of an edge as JSON: drawn, what the compass is set to, and every station to mark by hand. */
final readonly class ScribeWriter
{
    private LengthWriter $lengths;

    public function __construct(private LengthFormat $format)
    {
        $this->lengths = new LengthWriter($format);
    }

    /** @return array<string, mixed>|null null where the edge is not scribed */
    public function write(FittedEdge $edge): ?array
    {
        $scribe = $edge->scribe;
        if ($scribe === null) {
            return null;
        }
        $drawn = new ScribeDrawing($scribe, $this->format);

        return [
            'overhang' => $this->lengths->working($scribe->overhang),
            'drawing' => ScreenWriter::write($drawn->draw()), 'times' => $drawn->times,
            'setting' => $this->lengths->length($scribe->setting()),
            'shallowest' => $this->lengths->length($scribe->shallowest()),
            'deepest' => $this->lengths->length($scribe->setting()),
            'taper' => $scribe->isTaper,
            'by_rule' => $edge->gap->byRule,
            'may_remain' => $this->lengths->mm($scribe->mayRemain()),
            'doubt' => $this->lengths->mm($edge->gap->doubt()),
            'stations' => array_map(fn (Point $station) => [
                'at' => $this->lengths->mm($station->x), 'gap' => $this->lengths->exact(Length::ofDouble($station->y)), 'cut' => $this->lengths->exact($scribe->cutAt($station)),
            ], $edge->gap->stations),
        ];
    }
}
