<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\CutPiece;
use Incastro\Cut\SawSetup;
use Incastro\Cut\Stock;
use Incastro\Cut\Together;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Pieces\Grain;

/** Reads pieces and stock from CSV for a cut plan. Every faulty field is named; nothing is guessed. */
final class CutListCsv
{
    private const MOST = 10_000;

    /** @var list<Fault> */
    private array $faults = [];

    /** @var array<string, non-empty-array<int, int>> numbers of pieces, by strip and place */
    private array $fronts = [];

    /** @var array<string, non-empty-list<int>> numbers of pieces, by group, material and thickness */
    private array $groups = [];

    public function __construct(private readonly Unit $unit)
    {
    }

    /**
     * Columns `front` and `group` may stand beside the others: fronts in their order from one strip (A1, A2 …), and what is kept on one
     * sheet. Both name pieces one by one.
     *
     * @return list<CutPiece>
     *
     * @throws BadFile
     */
    public function pieces(string $file): array
    {
        $table = CsvTable::read($file, ['name', 'quantity', 'length', 'width', 'thickness', 'material', 'grain']);
        $pieces = [];
        foreach ($table->rows as [$line, $row]) {
            $place = "$file:$line";
            $grain = Grain::tryFrom($row['grain']);
            if ($grain === null) {
                $this->faults[] = new Fault("$place:grain", sprintf('“%s” is not a grain. It is length, width or any.', $row['grain']));
            }
            $pieces[] = new CutPiece(
                $this->name($row, $place),
                $this->quantity($row['quantity'], $place) ?? 1,
                $this->length($row['length'], "$place:length"),
                $this->length($row['width'], "$place:width"),
                $this->length($row['thickness'], "$place:thickness"),
                $this->material($row, $place),
                $grain ?? Grain::Any,
            );
            $this->kept($row, $place, count($pieces) - 1, $pieces[count($pieces) - 1]);
        }
        $this->throwFaults();
        if (array_sum(array_map(fn (CutPiece $piece) => $piece->quantity, $pieces)) > self::MOST) {
            throw BadFile::at("$file:1:quantity", sprintf('There are more than %d pieces. Plan them in parts.', self::MOST));
        }

        return $pieces;
    }

    /**
     * The pieces of a list with those that stay together made one.
     *
     * @param  list<CutPiece>  $pieces  as they were read
     * @param  list<Stock>  $stock
     * @return list<CutPiece>
     *
     * @throws BadFile
     */
    public function together(string $file, array $pieces, SawSetup $saw, LengthFormat $format, array $stock): array
    {
        $made = [];
        $fronts = $this->fronts;
        foreach ($fronts as $name => $strip) {
            ksort($strip);
            $row = array_map(fn (int $i): CutPiece => $pieces[$i], array_values($strip));
            $first = $row[0];
            if ($first->grain !== Grain::Length || array_filter($row, fn (CutPiece $piece) => ! $piece->length->isEqualTo($first->length) || $piece->material !== $first->material || ! $piece->thickness->isEqualTo($first->thickness) || $piece->grain !== $first->grain) !== []) {
                throw BadFile::at("$file:1:front", sprintf('The fronts of strip %s differ. They have one length, thickness and material, and grain length.', $name));
            }
            $made[] = CutPiece::row($row, $saw->kerf);
        }
        foreach ($this->groups as $group) {
            array_push($made, ...(new Together($saw, $format, $stock))->block(array_map(fn (int $i) => $pieces[$i], $group)));
        }

        return [...array_values(array_diff_key($pieces, array_flip(array_merge([], ...array_values($fronts), ...array_values($this->groups))))), ...$made];
    }

    /** @param array<string, string> $row */
    private function kept(array $row, string $place, int $i, CutPiece $piece): void
    {
        [$front, $group] = [$row['front'] ?? '', $row['group'] ?? ''];
        if (($front !== '' || $group !== '') && $piece->quantity !== 1) {
            $this->faults[] = new Fault("$place:quantity", 'Pieces that stay together are named one by one: the quantity is 1.');
        }
        if ($front !== '' && ! preg_match('/^([A-Za-z]+)(\d{1,3})$/', $front, $found)) {
            $this->faults[] = new Fault("$place:front", sprintf('“%s” is not a strip and a place. Type letters and a number, such as A1.', $front));
        } elseif ($front !== '') {
            if (isset($this->fronts[$found[1]][(int) $found[2]])) {
                $this->faults[] = new Fault("$place:front", sprintf('%s stands twice.', $front));
            }
            $this->fronts[$found[1]][(int) $found[2]] = $i;
        } elseif ($group !== '') {
            $this->groups["$group|$piece->material|{$piece->thickness->nanometres()}"][] = $i;
        }
    }

    /**
     * @return list<Stock>
     *
     * @throws BadFile
     */
    public function stock(string $file): array
    {
        $table = CsvTable::read($file, ['name', 'quantity', 'length', 'width', 'thickness', 'material', 'price']);
        $stock = [];
        foreach ($table->rows as [$line, $row]) {
            $place = "$file:$line";
            if (! is_numeric($row['price']) || (float) $row['price'] < 0) {
                $this->faults[] = new Fault("$place:price", sprintf('“%s” is not a price. Type a number of 0 or more, such as 64.00.', $row['price']));
            }
            $stock[] = new Stock(
                $this->name($row, $place),
                $row['quantity'] === '' ? null : $this->quantity($row['quantity'], $place, 0),
                $this->length($row['length'], "$place:length"),
                $this->length($row['width'], "$place:width"),
                $this->length($row['thickness'], "$place:thickness"),
                $this->material($row, $place),
                (float) $row['price'],
            );
        }
        $this->throwFaults();

        return $stock;
    }

    /** @param array<string, string> $row */
    private function name(array $row, string $place): string
    {
        if ($row['name'] === '') {
            $this->faults[] = new Fault("$place:name", 'There is no name. Give each row one.');
        }

        return $row['name'];
    }

    /** @param array<string, string> $row */
    private function material(array $row, string $place): string
    {
        if ($row['material'] === '') {
            $this->faults[] = new Fault("$place:material", 'There is no material. Name it as in the other file.');
        }

        return $row['material'];
    }

    private function quantity(string $text, string $place, int $least = 1): ?int
    {
        if (! ctype_digit($text) || (int) $text < $least || (int) $text > self::MOST) {
            $this->faults[] = new Fault("$place:quantity", sprintf('“%s” is not a quantity. Type a whole number from %d to %d.', $text, $least, self::MOST));

            return null;
        }

        return (int) $text;
    }

    private function length(string $text, string $place): Length
    {
        try {
            $length = (new LengthReader($this->unit))->read($text);
            if ($length->isPositive()) {
                return $length;
            }
            $sentence = sprintf('“%s” is nothing. Type a length above 0.', $text);
        } catch (Unreadable $unreadable) {
            $sentence = $unreadable->getMessage();
        }
        $this->faults[] = new Fault($place, $sentence);

        return Length::ofMillimetres(1);
    }

    /** @throws BadFile */
    private function throwFaults(): void
    {
        if ($this->faults !== []) {
            throw new BadFile($this->faults);
        }
    }
}
