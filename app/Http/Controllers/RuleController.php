<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\JobDocument;
use App\Planning\RuleReach;
use Illuminate\Http\JsonResponse;
use Incastro\Rules\Rule;

/** One house rule of a job, and what hangs on it there. */
final class RuleController extends Controller
{
    public function show(Job $job, Rule $rule, RuleReach $reach): JsonResponse
    {
        return response()->json(['pieces' => $reach->of(JobDocument::of($job), $rule)]);
    }
}
