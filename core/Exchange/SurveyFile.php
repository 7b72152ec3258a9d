<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\AngleReader;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Survey\Plan\PlanKind;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Plan\PlanSurvey;
use Incastro\Survey\Textures;
use Incastro\Survey\Tool;

/** Reads the corners and readings of a plan from JSON, and names every fault by its path in the file. */
final class SurveyFile
{
    private const LEAST_CORNERS = 3;

    private const MOST_CORNERS = 24;

    private const MOST_READINGS = 600;

    /** No wall is rougher, mm. */
    private const MOST_TEXTURE = 20.0;

    /** @var list<Fault> */
    private array $faults = [];

    /** @var list<string> */
    public readonly array $corners;

    /** @var list<PlanReading> */
    public readonly array $readings;

    public readonly Unit $unit;

    private readonly Textures $textures;

    /** @throws BadFile */
    public function __construct(private readonly string $file, string $json)
    {
        try {
            $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException $bad) {
            throw BadFile::at("$file:$", 'This is not JSON ('.lcfirst($bad->getMessage()).').');
        }
        if (! is_array($data)) {
            throw BadFile::at("$file:$", 'This must be an object with unit, corners and readings.');
        }
        $unit = $data['unit'] ?? 'mm';
        if (! in_array($unit, ['mm', 'in'], true)) {
            $this->fault('.unit', sprintf('“%s” is not a unit here. It is mm or in.', is_scalar($unit) ? (string) $unit : 'that'));
        }
        $this->unit = $unit === 'in' ? Unit::Inch : Unit::Millimetre;
        $texture = $data['texture'] ?? 0;
        if (! is_int($texture) && ! is_float($texture) || $texture < 0 || $texture > self::MOST_TEXTURE) {
            $this->fault('.texture', sprintf('“%s” is not how far a place of a wall is off its plane. It is a number of mm from 0 to %.0f, such as 1.2.', is_scalar($texture) ? (string) $texture : 'that', self::MOST_TEXTURE));
            $texture = 0;
        }
        $this->textures = new Textures((float) $texture);
        $this->corners = $this->corners($data['corners'] ?? null);
        $this->readings = $this->readings($data['readings'] ?? null);
        if ($this->faults !== []) {
            throw new BadFile($this->faults);
        }
    }

    public function survey(): PlanSurvey
    {
        return new PlanSurvey($this->corners, $this->readings, $this->unit === Unit::Inch);
    }

    private function fault(string $path, string $sentence): void
    {
        $this->faults[] = new Fault("$this->file:\$$path", $sentence);
    }

    /** @return list<string> */
    private function corners(mixed $given): array
    {
        if (! is_array($given) || ! array_is_list($given)) {
            $this->fault('.corners', 'It must be a list of names, such as ["A", "B", "C"].');

            return [];
        }
        $corners = [];
        foreach ($given as $i => $name) {
            if (! is_string($name) || trim($name) === '') {
                $this->fault(".corners[$i]", 'A corner is a name such as "A".');
            } elseif (in_array($name, $corners, true)) {
                $this->fault(".corners[$i]", sprintf('Corner %s is named twice. Every corner has a name of its own.', $name));
            }
            $corners[] = is_scalar($name) ? (string) $name : '';
        }
        if (count($corners) < self::LEAST_CORNERS || count($corners) > self::MOST_CORNERS) {
            $this->fault('.corners', sprintf('There are %d corners. A plan has %d to %d.', count($corners), self::LEAST_CORNERS, self::MOST_CORNERS));
        }

        return $corners;
    }

    /** @return list<PlanReading> */
    private function readings(mixed $given): array
    {
        if (! is_array($given) || ! array_is_list($given)) {
            $this->fault('.readings', 'It must be a list of readings.');

            return [];
        }
        if (count($given) > self::MOST_READINGS) {
            $this->fault('.readings', sprintf('There are %d readings. A plan takes at most %d.', count($given), self::MOST_READINGS));

            return [];
        }
        $readings = $ids = [];
        foreach ($given as $i => $item) {
            $before = count($this->faults);
            if (! is_array($item)) {
                $this->fault(".readings[$i]", 'A reading is an object with id, kind and value.');
                continue;
            }
            $reading = $this->reading(".readings[$i]", $item);
            if ($reading !== null && isset($ids[$reading->id])) {
                $this->fault(".readings[$i].id", sprintf('“%s” is used twice. Every take has an id of its own.', $reading->id));
            }
            if ($reading !== null && count($this->faults) === $before) {
                $readings[] = $reading;
                $ids[$reading->id] = true;
            }
        }

        return $readings;
    }

    /** @param array<mixed> $item */
    private function reading(string $path, array $item): ?PlanReading
    {
        $before = count($this->faults);
        $id = $item['id'] ?? null;
        if (! is_string($id) && ! is_int($id) || (string) $id === '') {
            $this->fault("$path.id", 'It is missing. Give every take an id of its own.');
        }
        $kind = is_string($item['kind'] ?? null) ? PlanKind::tryFrom($item['kind']) : null;
        if ($kind === null) {
            $this->fault("$path.kind", sprintf('“%s” is not a kind of reading here. It is one of %s.', is_scalar($item['kind'] ?? null) ? (string) $item['kind'] : 'that', implode(', ', array_map(fn (PlanKind $kind) => $kind->value, PlanKind::cases()))));

            return null;
        }
        $tool = $this->tool($path, $item['tool'] ?? null, $kind);
        $from = $this->corner("$path.from", $item['from'] ?? null);
        $to = $this->corner("$path.to", $item['to'] ?? null);
        $at = $kind->isDistance() ? null : $this->corner("$path.at", $item['at'] ?? null);
        if ($from !== null && $to !== null && (count(array_unique([$from, $to])) < 2 || ($at !== null && in_array($at, [$from, $to], true)))) {
            $this->fault("$path.to", 'A reading lies between different corners.');
        }
        $steps = $from === null || $to === null ? 1 : abs($from - $to);
        if ($kind === PlanKind::Side && $steps !== 1 && $steps !== count($this->corners) - 1) {
            $this->fault("$path.to", sprintf('%s and %s are not neighbours, so this is not a side: call it a diagonal.', $this->corners[(int) $from], $this->corners[(int) $to]));
        }
        $outside = ($item['outside'] ?? false) === true;
        $value = $kind === PlanKind::Corner ? $this->angle("$path.value", $item['value'] ?? null, $outside) : $this->length("$path.value", $item['value'] ?? null);
        $legs = $kind === PlanKind::ThreeFourFive ? $this->legs($path, $item['legs'] ?? null, $value) : null;
        if (count($this->faults) > $before) {
            return null;
        }

        return new PlanReading((string) $id, $kind, (int) $from, (int) $to, $at, (float) $value, is_scalar($item['value']) ? trim((string) $item['value']) : '', $tool, $legs, $outside, $this->textures->ofPlan($kind));
    }

    private function tool(string $path, mixed $given, PlanKind $kind): Tool
    {
        $tool = is_string($given) ? Tool::tryFrom($given) : null;
        if ($given !== null && $tool === null) {
            $this->fault("$path.tool", sprintf('“%s” is not a tool. It is one of %s.', is_scalar($given) ? (string) $given : 'that', implode(', ', array_map(fn (Tool $tool) => $tool->value, Tool::cases()))));
        } elseif ($tool !== null && ($tool === Tool::Gauge) !== ($kind === PlanKind::Corner)) {
            $this->fault("$path.tool", $tool === Tool::Gauge ? 'A gauge reads corners, not lengths.' : 'A corner is read with a gauge; with a tape it is a three_four_five.');
        }

        return $tool ?? ($kind === PlanKind::Corner ? Tool::Gauge : Tool::Tape);
    }

    private function corner(string $path, mixed $given): ?int
    {
        $corner = is_scalar($given) ? array_search((string) $given, $this->corners, true) : false;
        if ($corner === false) {
            $this->fault($path, $given === null ? 'It is missing. Name a corner.' : sprintf('“%s” is not one of the corners %s.', is_scalar($given) ? (string) $given : 'that', implode(', ', $this->corners)));

            return null;
        }

        return $corner;
    }

    private function length(string $path, mixed $given): ?float
    {
        try {
            $length = (new LengthReader($this->unit))->read(is_scalar($given) ? (string) $given : '');
        } catch (Unreadable $unreadable) {
            $this->fault($path, $unreadable->getMessage());

            return null;
        }
        if (! $length->isPositive()) {
            $this->fault($path, 'A distance is more than nothing.');
        }

        return $length->toDouble();
    }

    private function angle(string $path, mixed $given, bool $outside): ?float
    {
        try {
            $degrees = (new AngleReader())->read(is_scalar($given) ? (string) $given : '')->toDegrees();
        } catch (Unreadable $unreadable) {
            $this->fault($path, $unreadable->getMessage());

            return null;
        }

        return $outside ? 360.0 - $degrees : $degrees;
    }

    /** @return array{float, float}|null */
    private function legs(string $path, mixed $given, ?float $long): ?array
    {
        if (! is_array($given) || count($given) !== 2 || ! array_is_list($given)) {
            $this->fault("$path.legs", 'It must be the two legs, such as ["900", "1200"].');

            return null;
        }
        $a = $this->length("$path.legs[0]", $given[0]);
        $b = $this->length("$path.legs[1]", $given[1]);
        if ($a === null || $b === null || $long === null) {
            return null;
        }
        if ($long >= $a + $b || $long <= abs($a - $b)) {
            $this->fault("$path.value", sprintf('The long side was understood as %.1f mm; with legs of %.1f and %.1f mm it lies between %.1f and %.1f.', $long, $a, $b, abs($a - $b), $a + $b));
        }

        return [$a, $b];
    }
}
