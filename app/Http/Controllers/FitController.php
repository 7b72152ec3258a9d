<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Space;
use App\Planning\CellSketches;
use App\Planning\JobAnswer;
use App\Planning\JobDocument;
use App\Planning\LayoutSketches;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Incastro\Drawing\FileKind;
use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\Paper;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SectionDrawing;
use Incastro\Drawing\SolidDrawing;
use Incastro\Exchange\FaceDistance;
use Incastro\Exchange\LengthWriter;
use Incastro\Exchange\RoundWriter;
use Incastro\Exchange\ScribeWriter;
use Incastro\Exchange\Templates;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Geometry\Vector;
use Incastro\Measure\Length;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Rules\Code;

/** Other looks at what is fitted into a space: from above, cut through, in the round; layouts to start from; templates. */
final class FitController extends Controller
{
    public function view(Request $request, Space $space, JobAnswer $answer): JsonResponse
    {
        $data = $request->validate([
            'view' => ['required', Rule::in(['plan', 'section', 'solid', 'apart'])],
            'run' => ['sometimes', 'string', 'max:120'],
            'at' => ['sometimes', 'numeric', 'between:-20000,20000'],
        ]);
        $plan = $answer->plan($space->job);
        $fitted = $plan->space($space->id);
        $room = $fitted === null ? null : $fitted->survey->room?->with($fitted->space->things);
        if ($fitted === null || $room === null || $fitted->layout === null || $fitted->layout->runs === []) {
            abort(404, 'Nothing is fitted here yet.');
        }
        $r = max(0, (int) array_search($data['run'] ?? null, array_map(fn ($run) => $run->run->id, $fitted->layout->runs), true));
        $run = $fitted->layout->runs[$r];
        $drawing = match ($data['view']) {
            'plan' => (new FurniturePlan($fitted->layout, $room, $plan->job->format, $fitted->assemblies))->draw(),
            'section' => (new SectionDrawing($run, $fitted->assemblies[$r], $room, $plan->job->format))->at((float) ($data['at'] ?? ($run->left + $run->right) / 2)),
            default => (new SolidDrawing($run, $fitted->assemblies[$r]))->draw($data['view'] === 'apart'),
        };

        return response()->json(ScreenWriter::write($drawing));
    }

    /** The line along which an edge is cut: to be marked with a compass, or by its stations. */
    public function scribeLine(Request $request, Space $space, JobAnswer $answer): JsonResponse
    {
        $data = $request->validate(['edge' => ['required', 'string', 'max:120']]);
        $plan = $answer->plan($space->job);
        $edges = $plan->space($space->id)?->layout?->edges() ?? [];
        $edge = array_values(array_filter($edges, fn (FittedEdge $edge) => $edge->key() === $data['edge']))[0] ?? null;
        $line = $edge === null ? null : (new ScribeWriter($plan->job->format))->write($edge);

        return response()->json($line ?? abort(404, 'This edge is not scribed.'));
    }

    /** Everything of a space in three dimensions, to be turned, opened and drawn apart. */
    public function round(Space $space, JobAnswer $answer): JsonResponse
    {
        $fitted = $answer->plan($space->job)->space($space->id);
        $room = $fitted === null ? null : $fitted->survey->room?->with($fitted->space->things);
        if ($fitted === null || $room === null || $fitted->layout === null) {
            abort(404, 'Nothing is fitted here yet.');
        }

        return response()->json((new RoundWriter($fitted))->write($room));
    }

    /** How far two faces of pieces lie apart: each by its piece, a place on it and the way it looks, in the space's own coordinates. */
    public function between(Request $request, Space $space, JobAnswer $answer): JsonResponse
    {
        $rules = ['required', 'array', 'size:3'];
        $number = ['required', 'numeric', 'between:-100000,100000'];
        $data = $request->validate([
            'faces' => ['required', 'array', 'size:2'], 'faces.*.key' => ['required', 'string', 'max:200'],
            'faces.*.at' => $rules, 'faces.*.at.*' => $number, 'faces.*.looks' => $rules, 'faces.*.looks.*' => $number,
        ]);
        $plan = $answer->plan($space->job);
        $fitted = $plan->space($space->id) ?? abort(404, 'Nothing is fitted here yet.');
        $vector = fn (array $at): Vector => new Vector((float) $at[0], (float) $at[1], (float) $at[2]);
        [$one, $other] = array_map(fn (array $face) => ['key' => (string) $face['key'], 'at' => $vector($face['at']), 'looks' => $vector($face['looks'])], array_values($data['faces']));
        $apart = (new FaceDistance($fitted))->between($one, $other);

        return response()->json(['text' => $apart === null ? null : $plan->job->format->finest()->write(Length::ofDouble($apart))]);
    }

    /** All ways out of one finding: of a large layout the answer to an edit brings only the first few. */
    public function waysOut(Request $request, Space $space, Planner $planner): JsonResponse
    {
        $data = $request->validate(['code' => ['required', Rule::enum(Code::class)], 'place' => ['required', 'string', 'max:120']]);
        $job = JobReader::read(JobDocument::of($space->job));
        $finding = $planner->waysOut($job, $job->space($space->id), Code::from($data['code']), $data['place']);
        if ($finding === null) {
            abort(404, 'This is solved already.');
        }

        return response()->json(LengthWriter::finding($finding));
    }

    public function startingLayouts(Space $space, LayoutSketches $sketches): JsonResponse
    {
        return response()->json($sketches->of(JobDocument::of($space->job), $space->id));
    }

    /** What a cell would look like with another unit in it, or before it. */
    public function sketch(Request $request, Space $space, string $tier, CellSketches $sketches): JsonResponse
    {
        $data = $request->validate(['list' => ['required', Rule::in(['tiers', 'fronts'])], 'kind' => ['required', 'string', 'max:60']]);

        return response()->json($sketches->of(JobReader::read(JobDocument::of($space->job)), $space->id, $tier, $data['list'], $data['kind']));
    }

    public function template(Request $request, Space $space, JobAnswer $answer): Response
    {
        $data = $request->validate([
            'format' => ['required', Rule::enum(FileKind::class)],
            'paper' => ['sometimes', Rule::enum(Paper::class)],
            'piece' => ['sometimes', 'string', 'max:200'],
        ]);
        $plan = $answer->plan($space->job);
        $fitted = $plan->space($space->id);
        $templates = $fitted === null ? null : new Templates($fitted, $plan->job->format);
        if ($templates === null || $templates->drawings($data['piece'] ?? null) === []) {
            abort(404, 'There is no template of this piece: it has four straight edges.');
        }
        $kind = FileKind::from($data['format']);

        return $this->drawn($kind, $templates->name($data['piece'] ?? null), match ($kind) {
            FileKind::Pdf => $templates->pdf(Paper::from($data['paper'] ?? 'a4'), $data['piece'] ?? null),
            FileKind::Svg => $templates->svg($data['piece'] ?? null),
            FileKind::Dxf => $templates->dxf($data['piece'] ?? null),
        });
    }
}
