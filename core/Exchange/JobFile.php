<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Angle;
use Incastro\Measure\AngleReader;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Planning\ExtraChoices;
use Incastro\Planning\FittingChoices;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\Layout\LayoutMarks;
use Incastro\Planning\MaterialChoices;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\WallPlaces;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Space\Sheet;
use Incastro\Units\Family;
use Incastro\Units\Kinds;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/**
 * The job file: `{"format": 4, "job": {planner input}, "record": {takes that no longer count}}`. Its shape is
 * docs/job.schema.json; what a schema cannot say is checked here. A file is taken whole or not at all.
 */
final class JobFile
{
    public const FORMAT = 5;

    private const SCHEMA = __DIR__.'/../../docs/job.schema.json';

    /**
     * @param  array<string, mixed>  $document  the planner's input
     * @param  list<array<string, mixed>>  $struck  takes that no longer count
     * @return array<string, mixed>
     */
    public static function write(array $document, array $struck): array
    {
        // An empty map is an object in JSON, not a list.
        $document['rules'] = (object) $document['rules'];
        foreach (['uses', 'schools', 'tools'] as $map) {
            $document[$map] = (object) $document[$map];
        }
        foreach (['hours', 'minutes', 'dates', 'walls'] as $map) {
            $document['installing'][$map] = (object) ($document['installing'][$map] ?? []);
        }
        foreach ($document['spaces'] as $i => $space) {
            $document['spaces'][$i]['layout'] = self::withMaps($space['layout']);
            $document['spaces'][$i]['layout']['closings'] = (object) $space['layout']['closings'];
            $document['spaces'][$i]['layout']['marks'] = (object) $space['layout']['marks'];
            $document['spaces'][$i]['takes'] = array_map(self::withPlace(...), $space['takes']);
        }

        return ['format' => self::FORMAT, 'job' => $document, 'record' => ['takes' => array_map(self::withPlace(...), $struck)]];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed> whose units have a map of what was chosen, also where that is nothing
     */
    private static function withMaps(array $layout): array
    {
        foreach ($layout['runs'] as $r => $run) {
            foreach ($run['bays'] as $b => $bay) {
                foreach ($bay['tiers'] as $t => $tier) {
                    $layout['runs'][$r]['bays'][$b]['tiers'][$t]['holds']['with'] = (object) $tier['holds']['with'];
                }
            }
        }
        foreach (array_keys(LayoutDocument::OUTSIDE) as $list) {
            foreach ($layout[$list] as $m => $entry) {
                $layout[$list][$m]['with'] = (object) $entry['with'];
            }
        }

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $take
     * @return array<string, mixed> whose place is an object, also where it has nothing to say
     */
    private static function withPlace(array $take): array
    {
        return isset($take['place']) ? ['place' => (object) $take['place']] + $take : array_diff_key($take, ['place' => 1]);
    }

    /**
     * @return array{job: array<string, mixed>, record: array{takes?: list<array<string, mixed>>}}
     *
     * @throws BadFile naming the file and the path inside it of every fault
     */
    public static function read(string $file, string $json): array
    {
        try {
            $data = json_decode($json, false, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException $bad) {
            throw BadFile::at("$file:$", 'This is not JSON ('.lcfirst($bad->getMessage()).'). Give a file that was exported from a job.');
        }
        $result = (new Validator(max_errors: 20, stop_at_first_error: false))->validate($data, (string) file_get_contents(self::SCHEMA));
        $error = $result->error();
        if ($error !== null) {
            throw new BadFile(self::faults($file, $error));
        }
        /** @var array{format: int, job: array<string, mixed>, record?: array{takes?: list<array<string, mixed>>}} $decoded */
        $decoded = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        $decoded['job'] += JobChoices::since($decoded['job']);
        foreach ($decoded['format'] === self::FORMAT ? $decoded['job']['spaces'] : [] as $s => $space) {
            $decoded['job']['spaces'][$s]['layout'] += ['fronts' => [], 'options' => [], 'surfaces' => []];
        }
        $decoded = JobUpgrade::toFormat3($decoded);
        self::checkLayouts($file, $decoded['job']);
        self::checkTakes($file, $decoded['job']);
        self::checkFitting($file, $decoded['job']['installing']);
        self::checkRecord($file, $decoded);
        // Bringing it up to date plans with it: what it says must be right before.
        $decoded = JobUpgrade::toNewest($decoded);
        self::checkLayouts($file, $decoded['job']);
        self::checkTakes($file, $decoded['job']);
        foreach (LayoutMarks::settled(array_column($decoded['job']['spaces'], 'layout')) as $s => $layout) {
            $decoded['job']['spaces'][$s]['layout'] = $layout;
        }

        foreach ($decoded['job']['spaces'] as $s => $space) {
            $decoded['job']['spaces'][$s]['takes'] = array_map(fn (array $take) => self::truly($take, $decoded['job']['measure']), $space['takes']);
        }
        $struck = array_map(fn (array $take) => self::truly($take, $decoded['job']['measure']), array_values($decoded['record']['takes'] ?? []));

        return ['job' => $decoded['job'], 'record' => ['takes' => $struck]];
    }

    /**
     * @param  array<string, mixed>  $fitting
     *
     * @throws BadFile
     */
    private static function checkFitting(string $file, array $fitting): void
    {
        $fault = FittingChoices::fault($fitting);
        if ($fault !== null) {
            throw BadFile::at("$file:\$.job.installing", $fault);
        }
    }

    /** @return non-empty-list<Fault> */
    private static function faults(string $file, ValidationError $error): array
    {
        $faults = $unknown = [];
        $walk = function (ValidationError $error) use (&$walk, &$faults, &$unknown, $file): void {
            if ($error->subErrors() !== []) {
                array_map($walk, $error->subErrors());

                return;
            }
            $path = '$';
            foreach ($error->data()->fullPath() as $part) {
                $path .= is_int($part) ? "[$part]" : ".$part";
            }
            $fault = new Fault("$file:$path", self::sentence($error));
            // A field that is wrong in itself is reported as not known too; that would only confuse.
            $error->keyword() === 'additionalProperties' ? $unknown[] = $fault : $faults[] = $fault;
        };
        $walk($error);

        return $faults ?: $unknown ?: [new Fault("$file:$", 'The file is not a job file.')];
    }

    private static function sentence(ValidationError $error): string
    {
        $args = $error->args();
        $text = fn (mixed $value) => is_array($value) ? implode(', ', array_map(strval(...), $value)) : (is_scalar($value) ? (string) $value : 'another value');

        return match ($error->keyword()) {
            'required' => sprintf('%s is missing.', $text($args['missing'] ?? '')),
            'type' => sprintf('This is %s; it must be %s.', $text($args['type'] ?? ''), $text($args['expected'] ?? '')),
            'enum' => 'This is not one of the allowed values.',
            'const' => sprintf('This must be %s.', $text($args['const'] ?? '')),
            'minimum' => sprintf('This is below the least, %s.', $text($args['min'] ?? '')),
            'maximum' => sprintf('This is above the most, %s.', $text($args['max'] ?? '')),
            'additionalProperties' => sprintf('%s is not known here.', $text($args['properties'] ?? '')),
            'maxItems', 'minItems' => 'This list has too many or too few entries.',
            default => $error->message().' ('.$error->keyword().')',
        };
    }

    /**
     * @param  array<string, mixed>  $job
     *
     * @throws BadFile
     */
    private static function checkLayouts(string $file, array $job): void
    {
        $faults = isset($job['uses']) ? array_map(fn (string $path, string $sentence) => new Fault("$file:\$.job.$path", $sentence), array_keys(MaterialChoices::faults($job)), array_values(MaterialChoices::faults($job))) : [];
        foreach ($job['spaces'] as $s => $space) {
            $corners = SpaceChoices::shape($space)->corners();
            foreach (WallPlaces::beyond($space, $corners) as $path => [, $wall]) {
                $faults[] = new Fault("$file:\$.job.spaces[$s].$path", sprintf('The plan of this space has %d corners and as many sides, counted from 0; %d is none of them.', $corners, $wall));
            }
            array_push($faults, ...self::unitFaults("$file:\$.job.spaces[$s].layout", $space['layout'], LengthFormat::of($job['measure'])));
            $twice = LayoutDocument::twice($space['layout']);
            if ($twice !== null) {
                $faults[] = new Fault("$file:\$.job.spaces[$s].layout", $twice);
            }
        }
        if ($faults !== []) {
            throw new BadFile($faults);
        }
    }

    /**
     * Units of kinds that are not known, and parameters that theirs do not take.
     *
     * @param  array<string, mixed>  $layout
     * @return list<Fault>
     */
    private static function unitFaults(string $path, array $layout, LengthFormat $format): array
    {
        $faults = [];
        foreach ($layout['runs'] as $r => $run) {
            foreach ($run['bays'] as $b => $bay) {
                foreach ($bay['tiers'] as $t => $tier) {
                    array_push($faults, ...self::faultsOfUnit("$path.runs[$r].bays[$b].tiers[$t].holds", $tier['holds'] ?? null, $format, Family::Inside, Family::Cell));
                }
            }
        }
        foreach (LayoutDocument::OUTSIDE as $list => $family) {
            foreach ($layout[$list] ?? [] as $m => $entry) {
                array_push($faults, ...self::faultsOfUnit("$path.{$list}[$m]", isset($entry['with']) ? $entry : null, $format, $family));
            }
        }

        return $faults;
    }

    /**
     * @param  ?array{kind: string, with: array<string, mixed>}  $unit  null in an older format
     * @return list<Fault>
     */
    private static function faultsOfUnit(string $path, ?array $unit, LengthFormat $format, Family ...$families): array
    {
        if ($unit === null) {
            return [];
        }
        $blueprint = in_array(Kinds::standard()->family($unit['kind']), $families, true) ? Kinds::standard()->find($unit['kind']) : null;
        if ($blueprint === null) {
            $kinds = implode(', ', array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...$families)));

            return [new Fault("$path.kind", sprintf('“%s” is not something that stands there. There are: %s.', $unit['kind'], $kinds))];
        }
        $faults = $blueprint->faults($unit['with'], $format);

        return array_values(array_map(fn (string $name, string $sentence) => new Fault("$path.with.$name", $sentence), array_keys($faults), $faults));
    }

    /**
     * @param  array<string, mixed>  $job
     *
     * @throws BadFile
     */
    private static function checkTakes(string $file, array $job): void
    {
        $faults = [];
        foreach ($job['spaces'] as $s => $space) {
            $sheet = new Sheet(SpaceChoices::shape($space), SheetChoices::defaults(Unit::Millimetre), array_map(ExtraChoices::read(...), array_values($space['extras'] ?? [])));
            $slots = array_column($sheet->slots(), null, 'id');
            foreach ($space['takes'] as $t => $take) {
                $path = "$file:\$.job.spaces[$s].takes[$t]";
                $slot = $slots[$take['slot']] ?? $sheet->slot($take['slot']);
                if ($slot === null) {
                    $faults[] = new Fault("$path.slot", sprintf('“%s” is not a reading of this space.', $take['slot']));
                } elseif ($slot->kind->isAngle() !== isset($take['value']['microdegrees'])) {
                    $faults[] = new Fault("$path.value", $slot->kind->isAngle() ? 'A corner is an angle: give microdegrees.' : 'This reading is a length: give nm.');
                } elseif ($slot->ends !== [] && ! in_array($take['end'] ?? null, $slot->ends, true)) {
                    $faults[] = new Fault("$path.end", sprintf('It must be %s.', implode(' or ', $slot->ends)));
                }
                array_push($faults, ...self::faultsOfTime($path, $take));
            }
        }
        if ($faults !== []) {
            throw new BadFile($faults);
        }
    }

    /**
     * @param  array<string, mixed>  $decoded
     *
     * @throws BadFile
     */
    private static function checkRecord(string $file, array $decoded): void
    {
        $spaces = array_column($decoded['job']['spaces'], 'id');
        $faults = [];
        foreach ($decoded['record']['takes'] ?? [] as $t => $take) {
            $path = "$file:\$.record.takes[$t]";
            if (! in_array($take['space'], $spaces, true)) {
                $faults[] = new Fault("$path.space", sprintf('“%s” is none of the spaces of this file. A reading that was struck belongs to one.', $take['space']));
            }
            array_push($faults, ...self::faultsOfTime($path, $take));
        }
        if ($faults !== []) {
            throw new BadFile($faults);
        }
    }

    /**
     * @param  array<string, mixed>  $take
     * @return list<Fault>
     */
    private static function faultsOfTime(string $path, array $take): array
    {
        $taken = $take['taken_at'] ?? '';

        return $taken === '' || Moment::isOne($taken) ? [] : [new Fault("$path.taken_at", sprintf(Moment::SENTENCE, $taken))];
    }

    /**
     * What a take says was typed must be what its value is, whichever unit it was typed in; else it is written anew.
     *
     * @param  array<string, mixed>  $take
     * @return array<string, mixed>
     */
    private static function truly(array $take, string $measure): array
    {
        $value = $take['value'];
        $reads = function (\Closure $read) use ($value): bool {
            try {
                return $read((string) ($value['typed'] ?? ''));
            } catch (Unreadable) {
                return false;
            }
        };
        if (isset($value['microdegrees'])) {
            $angle = Angle::ofMicrodegrees($value['microdegrees']);
            $isTrue = $reads(fn (string $text) => (new AngleReader())->read($text)->microdegrees() === $value['microdegrees']);
            $written = fn () => $angle->write();
        } else {
            $isTrue = array_filter(Unit::cases(), fn (Unit $unit) => $reads(fn (string $text) => (new LengthReader($unit))->read($text)->nanometres() === $value['nm'])) !== [];
            $written = fn () => LengthFormat::of($measure)->finest()->write(Length::ofNanometres($value['nm']));
        }
        $take['value']['typed'] = $isTrue ? $value['typed'] : $written();

        return $take;
    }
}
