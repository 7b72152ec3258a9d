<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** What lies about when some of the cuts are made: pieces that are done, and parts from which more can be cut. */
final readonly class Lying
{
    /** @var array<string, list<array<string, mixed>>> cuts by the blank that they take */
    private array $byBlank;

    /** @var array<string, string> the blank of which a part is what remains, by the part */
    private array $leftOf;

    /**
     * @param  array<string, mixed>  $cutting  as it was released: steps with their cuts, and parts by id
     * @param  array<string, true>  $cut  parts that are freed
     * @param  array<string, list<array{int, int}>>  $spoiled  of those the ones that are no piece any more, with what remains of each: along and across the sheet, nm
     */
    public function __construct(private array $cutting, private array $cut, private array $spoiled = [])
    {
        $byBlank = $leftOf = [];
        foreach ($cutting['steps'] as $step) {
            // What is shaped was freed before.
            foreach ($step['class'] === 'shape' ? [] : $step['cuts'] as $cut) {
                $byBlank[$cut['blank']][] = $cut;
                if ($cut['leaves'] !== null) {
                    $leftOf[$cut['leaves']] = $cut['blank'];
                }
            }
        }
        $this->byBlank = $byBlank;
        $this->leftOf = $leftOf;
    }

    /** @return array<string, string> the part of each piece that is done, by the piece's mark */
    public function done(): array
    {
        $done = [];
        foreach ($this->cutting['parts'] as $id => $part) {
            if ($part['fate'] === Fate::Piece->value && (isset($this->cut[$id]) || $this->isLeft($id)) && ! isset($this->spoiled[$id])) {
                $done[$part['piece']] = (string) $id;
            }
        }

        return $done;
    }

    /**
     * Parts that were begun or freed and are no pieces yet, as they lie there now. Sheets that nobody touched are not among them.
     *
     * @return list<array{id: string, mark: string, length: int, width: int, material: string, thickness: int}> sizes in nm
     */
    public function rests(): array
    {
        $rests = [];
        foreach ($this->byBlank as $blank => $cuts) {
            $part = $this->cutting['parts'][$blank];
            $made = array_filter($cuts, fn (array $cut) => isset($this->cut[$cut['id']]));
            if ($made === [] && ! isset($this->cut[$blank]) && ! $this->isLeft((string) $blank)) {
                continue;
            }
            [$length, $width] = [$part['length']['nm'], $part['width']['nm']];
            foreach ($made as $cut) {
                $length -= $cut['axis'] === 'length' ? $cut['at'] + $cut['kerf'] : 0;
                $width -= $cut['axis'] === 'width' ? $cut['at'] + $cut['kerf'] : 0;
            }
            // What remains of it in the end has a name of its own: a piece, or the next to be cut.
            $isAnother = count($made) === count($cuts) && array_filter(array_column($cuts, 'leaves'), fn (?string $id) => isset($this->byBlank[$id ?? '']) || ($this->cutting['parts'][$id ?? '']['fate'] ?? null) === Fate::Piece->value) !== [];
            if (! $isAnother && $length > 0 && $width > 0 && Fate::ofRest($length, $width) === Fate::Offcut) {
                $rests[] = ['id' => (string) $blank, 'mark' => $part['mark'], 'length' => $length, 'width' => $width, 'material' => $part['material'], 'thickness' => $part['thickness']];
            }
        }

        foreach ($this->spoiled as $id => $remains) {
            $part = $this->cutting['parts'][$id] ?? null;
            foreach ($part === null ? [] : $remains as $i => [$length, $width]) {
                $rests[] = ['id' => "$id/$i", 'mark' => $part['mark'], 'length' => $length, 'width' => $width, 'material' => $part['material'], 'thickness' => $part['thickness']];
            }
        }

        return $rests;
    }

    /** Whether a part is what remains when every cut of its blank is made. */
    private function isLeft(string $id): bool
    {
        $blank = $this->leftOf[$id] ?? null;

        return $blank !== null && array_filter($this->byBlank[$blank], fn (array $cut) => ! isset($this->cut[$cut['id']])) === [];
    }
}
