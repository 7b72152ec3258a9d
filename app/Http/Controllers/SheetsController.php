<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\Cutting;
use App\Planning\JobAnswer;
use Illuminate\Http\JsonResponse;
use Incastro\Cut\Objective;
use Incastro\Cut\SheetPlan;
use Incastro\Planning\Planner;

/** Plans of the sheets of a job, each for something else, to choose between. */
final class SheetsController extends Controller
{
    public function sideBySide(Job $job, JobAnswer $answer, Planner $planner): JsonResponse
    {
        $plan = $answer->plan($job, isThorough: true);
        $write = function (SheetPlan $sheets, Objective $objective) use ($job, $plan): array {
            $offcut = $sheets->greatestOffcut();

            return [
                'objective' => $objective->value, 'label' => $objective->label(), 'chosen' => $objective === $plan->job->sheets->objective,
                'price' => round($sheets->price, 2), 'sheets' => count($sheets->sheets), 'settings' => Cutting::writer($job, $plan)->fromSheets($sheets->sheets)->settings,
                'offcut' => $offcut === null ? null : $plan->job->format->writeSize($offcut->length(), $offcut->width()),
            ];
        };

        return response()->json(['plans' => array_map(fn (SheetPlan $sheets, string $objective) => $write($sheets, Objective::from($objective)), array_values($plans = $planner->sheets->sideBySide($plan)), array_keys($plans))]);
    }
}
