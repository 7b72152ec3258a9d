<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\CutPiece;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
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

    public function __construct(private readonly Unit $unit)
    {
    }

    /**
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
        }
        $this->throwFaults();
        if (array_sum(array_map(fn (CutPiece $piece) => $piece->quantity, $pieces)) > self::MOST) {
            throw BadFile::at("$file:1:quantity", sprintf('There are more than %d pieces. Plan them in parts.', self::MOST));
        }

        return $pieces;
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
