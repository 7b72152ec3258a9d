<?php

declare(strict_types=1);

namespace App\Editing;

use Incastro\Saw\Ticks;

/** What is kept of something that happened at the saw or in the shop besides the part: sizes are read here, in the job's unit. */
final readonly class SawBodies
{
    public function __construct(private TypedLengths $lengths)
    {
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed>|null
     */
    public function read(int $i, array $fact): ?array
    {
        return match ($fact['kind']) {
            Ticks::SPOILED => ['why' => $fact['why'] ?? 'other', 'remains' => $this->remains($i, $fact)],
            Ticks::AS_CUT => ['dimension' => $fact['dimension'] ?? 'length', 'text' => $fact['text'] ?? '', 'nm' => $this->lengths->positive("facts.$i.text", 'As cut', $fact['text'] ?? '')->nanometres()],
            Ticks::BOUGHT => ['amount' => (int) ($fact['amount'] ?? 1)],
            default => null,
        };
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return list<array{int, int}> extents along and across the grain of the sheet, nm
     */
    private function remains(int $i, array $fact): array
    {
        return array_map(fn (array $one): array => [
            $this->lengths->positive("facts.$i.remains", 'What remains, along the grain', $one['along'] ?? '')->nanometres(),
            $this->lengths->positive("facts.$i.remains", 'What remains, across the grain', $one['across'] ?? '')->nanometres(),
        ], array_values($fact['remains'] ?? []));
    }
}
