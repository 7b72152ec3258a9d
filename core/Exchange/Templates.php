<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\DxfWriter;
use Incastro\Drawing\Paper;
use Incastro\Drawing\SvgWriter;
use Incastro\Drawing\TemplateDrawing;
use Incastro\Drawing\TiledPdf;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Planning\SpacePlan;

/** Full-size templates of a space: of every scribed or notched piece, and of the openings that sloped boxes go into. */
final readonly class Templates
{
    public function __construct(private SpacePlan $space, private LengthFormat $format)
    {
    }

    /**
     * By the key of the piece, or of the box whose opening it is.
     *
     * @return array<string, Drawing>
     */
    public function drawings(?string $only = null): array
    {
        $drawings = [];
        foreach ($this->space->pieces() as $piece) {
            if (($only === null || $piece->key === $only) && $piece->isShaped()) {
                $drawings[$piece->key] = TemplateDrawing::of($piece, $this->format);
            }
        }
        foreach ($this->space->layout->runs ?? [] as $run) {
            foreach ($run->boxes as $box) {
                $opening = $only === null || $only === "opening:$box->id" ? TemplateDrawing::opening($box, $run->frame) : null;
                if ($opening !== null) {
                    $drawings["opening:$box->id"] = $opening;
                }
            }
        }

        return $drawings;
    }

    /** What a file of them is called. */
    public function name(?string $only): string
    {
        $drawings = $this->drawings($only);

        return count($drawings) === 1 ? 'template '.reset($drawings)->name : 'templates '.$this->space->space->name;
    }

    public function pdf(Paper $paper, ?string $only = null): string
    {
        $pdf = new TiledPdf($this->name($only), $paper, $this->format->unit === Unit::Inch);
        foreach ($this->drawings($only) as $drawing) {
            $pdf->add($drawing);
        }

        return $pdf->output();
    }

    public function svg(?string $only = null): string
    {
        return (new SvgWriter(1.0, inches: $this->format->unit === Unit::Inch))->write($this->together($only));
    }

    public function dxf(?string $only = null): string
    {
        return DxfWriter::write($this->together($only));
    }

    /** All of them on one sheet, one above the other. */
    private function together(?string $only): Drawing
    {
        $layers = [];
        $up = 0.0;
        foreach ($this->drawings($only) as $drawing) {
            [$left, $bottom, , $top] = $drawing->bounds();
            foreach ($drawing->moved(-$left, $up - $bottom)->layers as $layer => $shapes) {
                $layers[$layer] = [...$layers[$layer] ?? [], ...$shapes];
            }
            $up += $top - $bottom + 40.0;
        }

        return new Drawing($this->name($only), $layers);
    }
}
