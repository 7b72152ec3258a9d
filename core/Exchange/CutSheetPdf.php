<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\BoardDrawing;
use Incastro\Drawing\PdfWriter;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\SheetDrawing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Planning\Plan;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\ToBuy;
use Incastro\Rules\Rule;

/** The paper that goes to the saw: what to buy, every sheet, every piece, and the scribe lines. */
final readonly class CutSheetPdf
{
    private const BOARDS_TO_A_PAGE = 12;

    private const MARKS_TO_A_LINE = 6;

    private PdfWriter $pdf;

    /**
     * @param  array<string, mixed>  $cutting  the steps of the saw, as CuttingWriter writes them
     * @param  ?int  $release  number of the release that it is of; null while nothing is released
     */
    public function __construct(private Plan $plan, private array $cutting, private ?int $release = null)
    {
        $this->pdf = new PdfWriter($plan->job->name.': cut sheet', $plan->job->name.' · '.($release === null ? 'not released' : "release $release"), $plan->job->format->unit === Unit::Inch);
    }

    public function write(): string
    {
        $this->cover();
        (new YardSheetPdf($this->cutting, $this->plan->job->format))->pages($this->pdf);
        $this->steps();
        $this->sheets();
        $this->boards();
        $this->pieces();
        foreach ($this->plan->spaces as $space) {
            $this->scribes($space);
        }

        return $this->pdf->output();
    }

    private function cover(): void
    {
        $this->pdf->page($this->plan->job->name.': cut sheet');
        $this->pdf->paragraph((new PlanWriter($this->plan))->verdict()['sentence']);
        $this->pdf->paragraph($this->release === null ? 'Not released for cutting: sizes may still change with a reading or a choice.' : "Release $this->release: what is cut by it stays as it is here.");
        $list = new ToBuy($this->plan);
        (new ToBuyWriter($this->plan, $list))->tables($this->pdf);
        $total = ToBuy::price($list->lines());
        $this->pdf->paragraph(sprintf('In all %s%s.', $total['unknown'] > 0 ? 'at least ' : '', $this->money($total['minor'] / 100)));
        foreach ($this->plan->cut->unplaced() as $unplaced) {
            $this->pdf->paragraph(sprintf('Nothing to cut it from for %s: %s.', $unplaced->name, $unplaced->reason));
        }
        foreach ($this->plan->spaces as $space) {
            $room = $space->survey->room;
            if ($room === null) {
                continue;
            }
            foreach ($space->layout->runs ?? [] as $r => $run) {
                $this->pdf->room(80.0, $this->plan->job->name.': '.$space->space->name);
                $this->pdf->drawing((new RunDrawing($run, $space->assemblies[$r], $room, $this->plan->job->format, $space->beside($r)))->elevation());
            }
        }
        $this->pdf->paragraph('Eyes, ears and a mask at the saw, no gloves at a spinning blade, support for long sheets. Measure the thickness of the sheets bought before the first cut.');
    }

    /** The cuts in the order in which they are made. */
    private function steps(): void
    {
        $this->pdf->page('Cuts, in order', true);
        $this->pdf->paragraph($this->cutting['proof'].' Numbers are what is set; a mark frees the part that is named. Tick what is cut.');
        foreach ($this->cutting['impossible'] as $one) {
            $this->pdf->paragraph(sprintf('%s cannot be cut on: %s %s', $one['mark'], $one['because'], implode(' ', $one['ways_out'])));
        }
        $rows = [];
        foreach ($this->cutting['steps'] as $i => $step) {
            $freed = array_map(fn (array $cut) => $cut['label'] ?? ($cut['straightens'] ? $this->cutting['parts'][$cut['takes']]['mark'] : $this->cutting['parts'][$cut['id']]['mark']), $step['cuts']);
            $rows = [...$rows, ...array_map(fn (array $some, int $line) => $line === 0
                ? [(string) ($i + 1), $step['tool'], $step['verb'], $step['number']['text'], implode(', ', $some), '']
                : ['', '', '', '', implode(', ', $some), ''], array_chunk($freed, self::MARKS_TO_A_LINE), array_keys(array_chunk($freed, self::MARKS_TO_A_LINE)))];
        }
        $this->pdf->table('Cuts, in order', ['', 'With', 'What', 'Set', 'Frees', 'Done'], [10, 28, 46, 30, 138, 15], $rows);
    }

    private function sheets(): void
    {
        $drawing = new SheetDrawing($this->plan->job->saw(), $this->plan->job->format);
        foreach ($this->plan->cut->sheets->sheets as $i => $sheet) {
            $this->pdf->page(sprintf('Sheet %d of %d', $i + 1, count($this->plan->cut->sheets->sheets)), true);
            $this->pdf->paragraph(sprintf('%s, %s. Trim all edges first; every cut goes right through. Grain runs along the sheet.', (new ShoppingList($this->plan))->materialName($sheet->stock), $sheet->stock->name));
            $this->pdf->filling($drawing->of($sheet, $i + 1));
        }
    }

    private function boards(): void
    {
        $drawing = new BoardDrawing($this->plan->job->format);
        foreach ($this->plan->cut->boards->byMaterial() as $boards) {
            $name = $boards[0]->stock->material->name;
            // A page holds so many that their marks can be read.
            foreach (array_chunk($boards, self::BOARDS_TO_A_PAGE) as $some) {
                $this->pdf->page($name);
                $this->pdf->paragraph(sprintf('Cut %s off each end first; the pieces follow each other with a saw cut between them.', $this->text($this->plan->job->rules->get(Rule::BoardEnd))));
                $this->pdf->drawing($drawing->of($name, $some));
            }
        }
    }

    private function pieces(): void
    {
        $this->pdf->page('Pieces');
        $rows = array_map(fn (Piece $piece) => [
            $piece->mark, $piece->name, $this->text($piece->length->result), $this->text($piece->width->result), $this->fine($piece->thickness),
            match ($piece->grain) {
                Grain::Length => 'along', Grain::Width => 'across', Grain::Any => 'any',
            },
            $piece->isShaped() ? 'blank; see template' : '',
        ], $this->plan->pieces());
        $this->pdf->table('Pieces', ['Mark', 'Piece', 'Length', 'Width', 'Thick', 'Grain', ''], [34, 38, 28, 26, 20, 14, 20], $rows);
    }

    private function scribes(SpacePlan $space): void
    {
        $edges = array_filter($space->layout?->edges() ?? [], fn (FittedEdge $edge) => $edge->scribe !== null);
        if ($edges === []) {
            return;
        }
        $this->pdf->page('Scribe lines: '.$space->space->name);
        foreach ($edges as $edge) {
            $scribe = $edge->scribe;
            assert($scribe !== null);
            $this->pdf->paragraph(sprintf(
                '%s, %s. Blank stands over by %s; in place set the compass to %s, held level. %s %s',
                $edge->label,
                $edge->closing->label(),
                $this->text($scribe->blank()),
                $this->text($scribe->setting()),
                $scribe->isTaper ? 'The line is straight: one taper cut.' : '',
                $edge->gap->byRule ? sprintf('Its stations were taken by rule: a gap of up to %s may remain.', $this->text(Length::ofDouble($scribe->mayRemain()))) : sprintf('Its stations come from tape readings: a gap of up to %s may remain, so take offsets by rule first, or scribe it in place.', $this->text(Length::ofDouble($scribe->mayRemain()))),
            ));
            $rows = array_map(fn (Point $station) => [
                $this->text(Length::ofDouble($station->x)), $this->fine(Length::ofDouble($station->y)), $this->fine($scribe->cutAt($station)),
            ], $edge->gap->stations);
            $this->pdf->table('Scribe lines: '.$space->space->name, ['Station', 'Gap', 'Cut away'], [40, 40, 40], $rows);
        }
    }

    private function text(Length $length): string
    {
        return $this->plan->job->format->writeCut($length);
    }

    private function fine(Length $length): string
    {
        return $this->plan->job->format->finest()->write($length);
    }

    private function money(float $amount): string
    {
        return $this->plan->job->currency.' '.number_format($amount, 2, '.', ' ');
    }
}
