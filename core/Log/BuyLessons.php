<?php

declare(strict_types=1);

namespace Incastro\Log;

/** What was paid, and how many screws were used up, teach of the list for the shops. */
final readonly class BuyLessons
{
    /** Prices that differ by no more per cent are the same. */
    private const SAME = 5;

    private const COUNTS = 2;

    /** More per cent of what was reckoned were missing. */
    private const MISSING = 10;

    /** More per cent of what was bought on top were left. */
    private const LEFT = 40;

    /** Spare is bought in steps of so many per cent. */
    private const STEP = 5;

    private const MOST = 100;

    /** @param non-empty-list<JobRecord> $records newest last */
    public function __construct(private array $records)
    {
    }

    /** @return list<?Lesson> */
    public function all(): array
    {
        return [...$this->prices(), $this->spare()];
    }

    /** @return list<Lesson> lines of the list whose price was another when it was last paid */
    private function prices(): array
    {
        $last = $count = [];
        foreach ($this->records as $record) {
            foreach ($record->paid as $one) {
                if ($one['listed'] > 0 && $one['paid'] > 0) {
                    $last[$one['line']] = $one;
                    $count[$one['line']] = 1 + ($count[$one['line']] ?? 0);
                }
            }
        }
        $lessons = [];
        foreach ($last as $line => $one) {
            $ratio = $one['paid'] / $one['listed'];
            if (100 * abs($one['paid'] - $one['listed']) > self::SAME * $one['listed']) {
                $price = $one['price'] === null ? null : round($one['price'] * $ratio, 2);
                $lessons[] = new Lesson("price:$line", sprintf('%s costs %s than the list says', $one['what'], $ratio > 1.0 ? 'more' : 'less'), $price === null ? sprintf('Type its price anew where it is bought by the piece: × %.2f.', $ratio) : sprintf('Price of one: %.2f instead of %.2f.', $price, $one['price']), [
                    sprintf('Paid %.2f for what the list has at %.2f.', $one['paid'] / 100, $one['listed'] / 100),
                ], $count[$line], $price === null ? null : "prices.$line", $price);
            }
        }

        return $lessons;
    }

    private function spare(): ?Lesson
    {
        $counted = array_merge([], ...array_map(fn (JobRecord $record) => $record->counted, $this->records));
        [$use, $spare, $needed] = [array_sum(array_column($counted, 'use')), array_sum(array_column($counted, 'spare')), array_sum(array_column($counted, 'needed'))];
        $isShort = 100 * ($needed - $use - $spare) > self::MISSING * ($use + $spare);
        $isMuch = 100 * ($use + $spare - $needed) > self::LEFT * $spare;
        $known = $this->records[count($this->records) - 1]->rules['lost'];
        $wanted = $use === 0 ? $known : min(self::MOST, max(0, self::STEP * (int) ceil(100 * ($needed - $use) / ($use * self::STEP))));
        if (count($counted) < self::COUNTS || ! ($isShort && $wanted > $known || $isMuch && $wanted < $known)) {
            return null;
        }

        return new Lesson('spare', $isShort ? 'Screws and pins run out' : 'Many screws and pins are left', sprintf('Spare of screws, brads and pins: %d %% instead of %d %%.', $wanted, $known), [
            sprintf('%d counts: %d used up, where the plan takes %d and %d were on top.', count($counted), $needed, $use, $spare),
        ], count($counted), 'buying.lost', $wanted);
    }
}
