<?php

declare(strict_types=1);

namespace Incastro\Fit;

/**
 * What is written on the wood: a letter for the kind and a number through the whole job, so that no two boxes, plinths,
 * worktops or panels bear the same. A mark is given once and stays with its owner, whatever else comes and goes.
 */
final class Marks
{
    /** What a letter stands for. */
    private const KINDS = ['B' => 'Box', 'C' => 'Cladding', 'D' => 'Box round pipes', 'E' => 'End panel', 'F' => 'Filler', 'H' => 'Hatch', 'K' => 'Cart', 'M' => 'Trim', 'N' => 'Panelling', 'P' => 'Plinth', 'R' => 'Hook rail', 'S' => 'Shelves', 'T' => 'Step board', 'W' => 'Worktop'];

    /** @var array<string, true> */
    private array $taken = [];

    /**
     * @param  array<string, string>  $given  by owner: those that were given before
     * @param  bool  $countsRows  whether a further row of a member gets a number of its own, as it did before marks were kept
     */
    public function __construct(private array $given = [], private readonly bool $countsRows = false)
    {
        foreach ($given as $mark) {
            $this->taken[$mark] = true;
        }
    }

    public function of(string $letter, string $owner): string
    {
        $mark = $this->given[$owner] ?? '';
        if (str_starts_with($mark, $letter)) {
            return $mark;
        }
        for ($number = 1; isset($this->taken[$letter.$number]); $number++);
        $this->taken[$letter.$number] = true;

        return $this->given[$owner] = $letter.$number;
    }

    /** The mark of a further row of one member, which has the member's own with a letter behind it: "P1b". */
    public function ofRow(string $letter, string $owner, int $row, string $rowId): string
    {
        return match (true) {
            isset($this->given[$rowId]) => $this->given[$rowId],
            $row === 0 => $this->of($letter, $owner),
            $this->countsRows => $this->of($letter, $rowId),
            default => $this->of($letter, $owner).chr(ord('a') + $row % 26),
        };
    }

    /** What a piece belongs to, by its own mark: "Worktop W1" of "W1-top". */
    public static function unit(string $piece): string
    {
        $mark = explode('-', $piece)[0];

        return trim((self::KINDS[substr($mark, 0, 1)] ?? '').' '.$mark);
    }

    /** @return array<string, string> by owner, all that were given */
    public function given(): array
    {
        return $this->given;
    }
}
