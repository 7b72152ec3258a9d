<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Space;
use App\Planning\JobAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Incastro\Drawing\FileKind;
use Incastro\Drawing\Paper;
use Incastro\Drawing\ScreenWriter;
use Incastro\Exchange\PieceSheet;
use Incastro\Pieces\Piece;

/** One piece of a space by its key, on the screen and as a file. */
final class PieceController extends Controller
{
    public function show(Space $space, string $key, JobAnswer $answer): JsonResponse
    {
        return response()->json(ScreenWriter::write($this->sheet($space, $key, $answer)->drawing()));
    }

    public function file(Request $request, Space $space, string $key, JobAnswer $answer): Response
    {
        $kind = FileKind::from($request->validate(['format' => ['required', Rule::enum(FileKind::class)]])['format']);
        $sheet = $this->sheet($space, $key, $answer);

        return $this->drawn($kind, $sheet->name(), match ($kind) {
            FileKind::Pdf => $sheet->pdf(),
            FileKind::Svg => $sheet->svg(),
            FileKind::Dxf => $sheet->dxf(),
        });
    }

    /** Strips at full size to drill through. */
    public function drilling(Request $request, Space $space, string $key, JobAnswer $answer): Response
    {
        $paper = $request->validate(['paper' => ['sometimes', Rule::enum(Paper::class)]])['paper'] ?? Paper::A4->value;
        $sheet = $this->sheet($space, $key, $answer);

        return $this->drawn(FileKind::Pdf, 'drilling '.$sheet->name(), $sheet->drilling(Paper::from($paper)) ?? abort(404, 'This piece has too few holes for a template: mark them by their places.'));
    }

    private function sheet(Space $space, string $key, JobAnswer $answer): PieceSheet
    {
        $plan = $answer->plan($space->job);
        $pieces = array_values(array_filter($plan->space($space->id)?->marked() ?? [], fn (Piece $piece) => $piece->key === $key));
        if ($pieces === []) {
            abort(404, 'There is no such piece any more; the pieces have changed.');
        }

        return new PieceSheet($pieces[0], $plan->job->format);
    }
}
