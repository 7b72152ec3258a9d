<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\JobDocument;
use Illuminate\Http\JsonResponse;
use Incastro\Exchange\UnitWriter;
use Incastro\Planning\JobReader;

/** The kinds of unit that there are, with their parameters by the rules of a job and in its own unit. */
final class UnitController extends Controller
{
    public function index(Job $job): JsonResponse
    {
        $read = JobReader::read(JobDocument::of($job));

        return response()->json((new UnitWriter($read->format, $read->rules, $read->materials))->all());
    }
}
