<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Planning\FittingStation;
use App\Planning\JobAnswer;
use App\Planning\JobLog;
use App\Planning\LogStation;
use Illuminate\Http\Response;
use Incastro\Exchange\CsvRows;
use Incastro\Exchange\LogPdf;
use Incastro\Log\LogFacts;
use Incastro\Measure\LengthFormat;

/** The log of a job for the drawer: a report, and tables of hours and money. */
final class LogController extends Controller
{
    public function report(Job $job, JobAnswer $answer): Response
    {
        $plan = $answer->plan($job);
        $station = LogStation::of($job, $plan, FittingStation::of($job, $plan))->station();
        $pdf = (new LogPdf($job->choices['name'], LengthFormat::of($job->choices['measure'])))->write($station);

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="log.pdf"']);
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
