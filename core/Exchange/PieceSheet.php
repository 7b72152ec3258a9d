<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrillingStrips;
use Incastro\Drawing\DxfWriter;
use Incastro\Drawing\Paper;
use Incastro\Drawing\PdfWriter;
use Incastro\Drawing\PieceDrawing;
use Incastro\Drawing\SvgWriter;
use Incastro\Drawing\TiledPdf;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;

/** One piece on paper, to be marked out by: its drawing with all places, what it is cut from, and what is done to its edges. */
final readonly class PieceSheet
{
    public function __construct(private Piece $piece, private LengthFormat $format)
    {
    }

    public function name(): string
    {
        return $this->piece->mark.' '.$this->piece->name;
    }

    public function drawing(): Drawing
    {
        return PieceDrawing::measured($this->piece, $this->format);
    }

    public function pdf(): string
    {
        $pdf = new PdfWriter($this->name(), $this->name(), $this->format->unit === Unit::Inch);
        $pdf->page($this->name());
        $pdf->paragraph(sprintf('%s from %s, %s thick. The face with its marks lies up; all places are told from the 0 of their side.', $this->format->writeSize($this->piece->length->result, $this->piece->width->result), $this->piece->material->name, $this->format->finest()->write($this->piece->thickness)));
        foreach ([...$this->piece->told($this->format), ...$this->piece->joints, ...$this->piece->markings($this->format)] as $line) {
            $pdf->paragraph('·  '.$line, 9.0);
        }
        $pdf->drawing($this->drawing());

        return $pdf->output();
    }

    /** Strips at full size to drill through, over as many pages as they need; null where there are too few holes for one. */
    public function drilling(Paper $paper): ?string
    {
        $strips = (new DrillingStrips($this->piece, $this->format))->drawings();
        if ($strips === []) {
            return null;
        }
        $pdf = new TiledPdf('Drilling '.$this->name(), $paper, $this->format->unit === Unit::Inch);
        foreach ($strips as $strip) {
            $pdf->add($strip);
        }

        return $pdf->output();
    }

    /** At full size. */
    public function svg(): string
    {
        return (new SvgWriter(1.0, inches: $this->format->unit === Unit::Inch))->write($this->drawing());
    }

    /** At full size, in mm. */
    public function dxf(): string
    {
        return DxfWriter::write($this->drawing());
    }
}
