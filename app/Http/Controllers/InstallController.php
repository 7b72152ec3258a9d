<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\FittingStation;
use App\Planning\JobAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Fitting day by itself, and for a calendar. */
final class InstallController extends Controller
{
    public function show(Job $job, JobAnswer $answer): JsonResponse
    {
        return response()->json(FittingStation::of($job, $answer->plan($job))->station());
    }

    public function calendar(Job $job, JobAnswer $answer): Response
    {
        $station = FittingStation::of($job, $answer->plan($job));
        $calendar = $station->calendar(now()->getTimestamp());

        return response($calendar, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="fitting.ics"']);
    }
}
