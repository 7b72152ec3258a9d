<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Notes facts of a job, as a device does. */
trait NotesFacts
{
    private string $device = '0b8f1f4e-3f0e-4c59-9d0c-0e5a3c8a2b11';

    private int $sequence = 0;

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function fact(string $kind, ?string $part, array $more = []): array
    {
        return $more + ['id' => (string) Str::uuid(), 'device' => $this->device, 'sequence' => ++$this->sequence, 'kind' => $kind, 'part' => $part, 'at' => now()->toIso8601String(), 'withdraws' => []];
    }

    /** @param array<string, mixed> $body */
    private function noted(string $station, string $kind, ?string $part, array $body = []): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact($kind, $part, ['body' => $body])], 'station' => $station]);
    }

    private function edited(string $path, mixed $value): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => $this->job->refresh()->version, 'path' => $path, 'value' => $value, 'station' => 'install']);
    }
}
