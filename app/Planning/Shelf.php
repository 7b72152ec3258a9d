<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Home;
use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Incastro\Cut\PlannedSheet;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Plan;

/** The offcuts of a home: kept from one job, cut from first in the next, reserved by the release that uses them. */
final class Shelf
{
    private const MOST = 300;

    /** @return list<array<string, mixed>> that a job may use: those that no other job has reserved */
    public static function for(Job $job): array
    {
        return array_values(array_filter($job->home->offcuts, fn (array $offcut) => $offcut['reserved'] === null || $offcut['reserved'] === $job->id));
    }

    /**
     * Puts what remains of a part of the newest release on the shelf.
     *
     * @param  array<string, mixed>  $rest  as Lying has it
     * @return string the code to write on it
     */
    public static function keep(Job $job, array $rest, string $place): string
    {
        return Home::changing($job->home_id, function (Home $home) use ($job, $rest, $place): string {
            foreach ($home->offcuts as $offcut) {
                if ($offcut['part'] === $rest['id'] && $offcut['job'] === $job->id) {
                    return $offcut['code'];
                }
            }
            if (count($home->offcuts) >= self::MOST) {
                throw ValidationException::withMessages(['offcut' => sprintf('The shelf holds %d offcuts, which is the most. Take some off it first.', self::MOST)]);
            }
            $number = $home->offcut_number + 1;
            $name = array_column($job->choices['materials'], 'name', 'id')[$rest['material']] ?? $rest['material'];
            $home->update(['offcut_number' => $number, 'offcuts' => [...$home->offcuts, [
                'code' => "O-$number", 'part' => $rest['id'], 'material' => $rest['material'], 'name' => $name, 'thickness' => $rest['thickness'],
                'length' => $rest['length'], 'width' => $rest['width'], 'place' => $place, 'job' => $job->id, 'reserved' => null,
            ]]]);

            return "O-$number";
        });
    }

    /** Takes one off the shelf: it was used, or is not there. */
    public static function take(Home $home, string $code): void
    {
        Home::changing($home->id, function (Home $locked) use ($code): void {
            $locked->update(['offcuts' => array_values(array_filter($locked->offcuts, fn (array $offcut) => $offcut['code'] !== $code))]);
        });
    }

    /** A release reserves what it is cut from, and gives free what an earlier one of the job had. */
    public static function reserve(Job $job, Plan $plan): void
    {
        $used = array_map(fn (PlannedSheet $sheet) => $sheet->stock->name, $plan->cut->sheets->sheets);
        Home::changing($job->home_id, fn (Home $home) => $home->update(['offcuts' => array_map(fn (array $offcut) => ['reserved' => match (true) {
            in_array($offcut['code'], $used, true) => $job->id,
            $offcut['reserved'] === $job->id => null,
            default => $offcut['reserved'],
        }] + $offcut, $home->offcuts)]));
    }

    /**
     * As the workshop shows it.
     *
     * @return list<array<string, mixed>>
     */
    public static function told(Home $home, LengthFormat $format): array
    {
        $jobs = $home->jobs->pluck('choices.name', 'id');
        $text = fn (int $nm): string => $format->write(Length::ofNanometres($nm));

        return array_map(fn (array $offcut) => [
            'code' => $offcut['code'], 'name' => $offcut['name'], 'thickness' => $format->finest()->write(Length::ofNanometres($offcut['thickness'])),
            'length' => ['nm' => $offcut['length'], 'text' => $text($offcut['length'])], 'width' => ['nm' => $offcut['width'], 'text' => $text($offcut['width'])],
            'place' => $offcut['place'], 'from' => $jobs[$offcut['job']] ?? null, 'reserved' => $offcut['reserved'] === null ? null : $jobs[$offcut['reserved']] ?? 'another job',
        ], $home->offcuts);
    }

    /**
     * What lies about at the saw of a job and may be kept.
     *
     * @param  list<array<string, mixed>>  $rests
     * @return list<array<string, mixed>>
     */
    public static function offered(Job $job, array $rests): array
    {
        $codes = array_column(array_filter($job->home->offcuts, fn (array $offcut) => $offcut['job'] === $job->id), 'code', 'part');
        $format = LengthFormat::of($job->choices['measure']);

        return array_map(fn (array $rest) => [
            'id' => $rest['id'], 'mark' => $rest['mark'], 'code' => $codes[$rest['id']] ?? null,
            'length' => $format->write(Length::ofNanometres($rest['length'])), 'width' => $format->write(Length::ofNanometres($rest['width'])),
        ], $rests);
    }
}
