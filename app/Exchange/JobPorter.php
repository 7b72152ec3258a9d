<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Editing\FactBook;
use App\Models\Fact;
use App\Models\Home;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use App\Planning\JobDocument;
use Illuminate\Support\Facades\DB;
use Incastro\Exchange\JobFile;
use Incastro\Planning\Layout\LayoutDocument;

/** Carries a job out to its file and in again. Importing always makes a new job, with ids of its own. */
final class JobPorter
{
    /** @return array<string, mixed> */
    public function export(Job $job): array
    {
        $document = JobDocument::of($job);
        $struck = array_merge([], ...array_map(fn (array $space) => array_map(fn (array $take): array => ['space' => $space['id']] + $take, array_values($space['withdrawn'])), array_values($document['spaces'])));
        $document['spaces'] = array_map(fn (array $space) => array_diff_key($space, ['withdrawn' => 1]), $document['spaces']);

        unset($document['offcuts']);

        return JobFile::write($document, array_values($struck));
    }

    /** @throws \Incastro\Exchange\BadFile and then nothing is made */
    public function import(Home $home, User $user, string $json): Job
    {
        ['job' => $document, 'record' => $record] = JobFile::read('job.json', $json);

        return DB::transaction(function () use ($home, $user, $document, $record): Job {
            $job = $home->jobs()->create(['choices' => array_diff_key($document, ['spaces' => 1, 'ways_in' => 1])]);
            if ($home->ways_in === [] && $document['ways_in'] !== []) {
                // The ways in belong to a home: one that has none yet takes over those that came with the job.
                $home->update(['ways_in' => $document['ways_in']]);
            }
            $renamed = [];
            foreach ($document['spaces'] as $position => $entry) {
                $choices = array_diff_key($entry, ['id' => 1, 'takes' => 1]);
                $choices['layout'] = LayoutDocument::renamed($choices['layout'], fn () => (string) str()->uuid());
                $space = $job->spaces()->create(['choices' => $choices, 'position' => $position]);
                $renamed[$entry['id']] = $space->id;
                $device = (string) str()->uuid();
                $struck = array_filter($record['takes'] ?? [], fn (array $take) => $take['space'] === $entry['id']);
                $sequence = 0;
                foreach ($entry['takes'] as $take) {
                    $this->take($space, $user, $device, $sequence++, $take);
                }
                foreach ($struck as $take) {
                    $fact = $this->take($space, $user, $device, $sequence++, $take);
                    Fact::query()->create([
                        'space_id' => $space->id, 'user_id' => $user->id, 'author' => $user->name, 'device' => $device, 'sequence' => $sequence++,
                        'kind' => Fact::WITHDRAWAL, 'withdraws' => $fact->id, 'slot' => $fact->slot, 'taken_at' => $fact->taken_at,
                    ]);
                }
            }
            $job->update(['choices' => ['installing' => self::fitting($document['installing'], $renamed)] + $job->choices]);

            return $job;
        });
    }

    /**
     * Of fitting day all but the wishes for its order, which name what has other names now; walls are those of the new spaces.
     *
     * @param  array<string, mixed>  $fitting
     * @param  array<string, string>  $renamed  ids of spaces, by those of the file
     * @return array<string, mixed>
     */
    private static function fitting(array $fitting, array $renamed): array
    {
        $walls = [];
        foreach ($fitting['walls'] ?? [] as $wall => $kind) {
            [$space, $number] = explode('/', $wall.'/');
            $walls += isset($renamed[$space]) ? ["$renamed[$space]/$number" => $kind] : [];
        }

        return ['walls' => $walls, 'before' => []] + $fitting;
    }

    /** @param array<string, mixed> $take */
    private function take(Space $space, User $user, string $device, int $sequence, array $take): Fact
    {
        return Fact::query()->create([
            'space_id' => $space->id, 'user_id' => $user->id, 'author' => $user->name, 'device' => $device, 'sequence' => $sequence, 'kind' => Fact::TAKE,
            'slot' => $take['slot'], 'value' => $take['value'], 'end' => $take['end'] ?? null, 'place' => $take['place'] ?? null,
            'taken_at' => isset($take['taken_at']) && $take['taken_at'] !== '' ? FactBook::believed($take['taken_at']) : now(),
        ]);
    }
}
