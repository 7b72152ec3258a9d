<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\FittingStation;
use App\Planning\JobAnswer;
use App\Planning\JobLog;
use App\Planning\LogStation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Incastro\Exchange\CsvRows;
use Incastro\Exchange\LogPdf;
use Incastro\Log\LogFacts;
use Incastro\Measure\LengthFormat;

/** The log of a job by itself, and for the drawer: a report, and tables of hours and money. */
final class LogController extends Controller
{
    public function show(Job $job, JobAnswer $answer): JsonResponse
    {
        return response()->json(self::station($job, $answer));
    }

    public function report(Job $job, JobAnswer $answer): Response
    {
        $pdf = (new LogPdf($job->choices['name'], LengthFormat::of($job->choices['measure'])))->write(self::station($job, $answer));

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="log.pdf"']);
    }

    /** @return array<string, mixed> */
    private static function station(Job $job, JobAnswer $answer): array
    {
        $plan = $answer->plan($job);

        return LogStation::of($job, $plan, FittingStation::of($job, $plan))->station();
    }

    public function table(Job $job, string $table): Response
    {
        $log = JobLog::of($job);
        $rows = $table === 'hours'
            ? [['person', 'work', 'from', 'to', 'minutes'], ...array_map(fn (array $fact): array => [($fact['body']['person'] ?? '') ?: $fact['author'], (string) ($fact['body']['work'] ?? ''), (string) ($fact['body']['from'] ?? ''), (string) ($fact['body']['to'] ?? ''), (string) ($fact['body']['minutes'] ?? '')], $log->kind(LogFacts::HOURS))]
            : [['what', 'shop', 'amount', 'currency', 'at'], ...array_map(fn (array $fact): array => [(string) ($fact['body']['what'] ?? ''), (string) ($fact['body']['shop'] ?? ''), sprintf('%.2f', ($fact['body']['minor'] ?? 0) / 100), $job->choices['currency'], $fact['at']], $log->kind(LogFacts::MONEY))];

        return response(CsvRows::write($rows), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$table.csv\""]);
    }
}
