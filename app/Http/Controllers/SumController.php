<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Incastro\Exchange\SumWriter;
use Incastro\Measure\LengthFormat;
use Incastro\Sums\AllSums;

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
        [$worked, $faults] = AllSums::worked($blueprint, array_diff_key($request->query->all(), ['measure' => true]), $format);

        return response()->json((new SumWriter($format))->drawn($worked ?? throw ValidationException::withMessages($faults)));
    }

    private function format(Request $request): LengthFormat
    {
        $request->validate(['measure' => ['string', Rule::in(LengthFormat::names())]]);

        return LengthFormat::of($request->string('measure', 'mm/1')->value());
    }
}
