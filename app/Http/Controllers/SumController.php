<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Incastro\Exchange\SumCardPdf;
use Incastro\Exchange\SumWriter;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Sums\AllSums;
use Incastro\Sums\Worked;

/** Quick sums: no job is needed and nothing is kept. */
final class SumController extends Controller
{
    public function index(Request $request): JsonResponse
    {
        return response()->json((new SumWriter($this->format($request)))->all());
    }

    public function show(Request $request, string $sum): JsonResponse
    {
        $blueprint = AllSums::find($sum) ?? abort(404);
        $format = $this->format($request);

        return response()->json((new SumWriter($format))->drawn($this->worked($blueprint, $request, $format)));
    }

    /** The sum on paper, for the wall of the workshop. */
    public function card(Request $request, string $sum): Response
    {
        $blueprint = AllSums::find($sum) ?? abort(404);
        $format = $this->format($request);
        $pdf = (new SumCardPdf($format))->write($blueprint, $this->typed($request), $this->worked($blueprint, $request, $format));

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "attachment; filename=\"$sum.pdf\""]);
    }

    /** @throws ValidationException with a sentence for each field */
    private function worked(Blueprint $sum, Request $request, LengthFormat $format): Worked
    {
        [$worked, $faults] = AllSums::worked($sum, $this->typed($request), $format);

        return $worked ?? throw ValidationException::withMessages($faults);
    }

    /** @return array<string, mixed> */
    private function typed(Request $request): array
    {
        return array_diff_key($request->query->all(), ['measure' => true]);
    }

    private function format(Request $request): LengthFormat
    {
        $request->validate(['measure' => ['string', Rule::in(LengthFormat::names())]]);

        return LengthFormat::of($request->string('measure', 'mm/1')->value());
    }
}
