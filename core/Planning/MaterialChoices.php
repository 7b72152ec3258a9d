<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Edit;
use Incastro\Rules\Materials\Board;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Material;
use Incastro\Rules\Materials\Moulding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Rules\Materials\Wood;

/**
 * Edits of a job's materials, `materials.ID.thickness` and its like, and of what each serves, `uses.drawer`. Any number of
 * materials; one that something is made of, or that is in stock, is not taken out.
 */
final readonly class MaterialChoices
{
    private const MOST = 60;

    /** In sheets, or by length in one section: boards, which may be ripped, and mouldings, which may not. */
    public const KINDS = ['sheet', 'board', 'moulding'];

    public function __construct(private LengthFormat $format)
    {
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public function apply(array $document, Edit $edit): array
    {
        $parts = explode('.', $edit->path);
        if ($edit->value === null && count($parts) === 2) {
            $this->refuseUsed($document, $edit->path, $parts[1]);
        }

        return (new EntryList('materials', 'a material', ['kind', 'name', 'thickness', 'width', 'cover', 'density', 'wood'], fn (string $name) => match ($name) {
            'kind' => Field::oneOf('How it is bought', self::KINDS),
            'name' => Field::text('Name of the material'),
            'thickness' => Field::length('Thickness as measured', $this->format, Length::ofMillimetres(2), Length::ofMillimetres(100)),
            'width' => Field::length('Width of the board', $this->format, Length::ofMillimetres(10), Length::ofMillimetres(600))->orComputed(),
            'cover' => Field::length('Width that shows', $this->format, Length::ofMillimetres(10), Length::ofMillimetres(600))->orComputed(),
            'density' => Field::number('Density', 100, 1500),
            'wood' => Field::oneOf('What it is', array_column(Wood::cases(), 'value'))->orComputed(),
            default => null,
        }, self::MOST, fn (array $entry) => $entry['kind'] !== 'sheet' && $entry['width'] === null ? ['width', 'What is bought by length has a width of its own. Type it as measured.'] : null))->apply($document, $edit);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public function use(array $document, Edit $edit): array
    {
        $purpose = Purpose::tryFrom(substr($edit->path, strlen('uses.'))) ?? throw new InvalidChoice($edit->path, sprintf('“%s” is not something that a material is for.', substr($edit->path, strlen('uses.'))));
        $inverse = new Edit($edit->path, $document['uses'][$purpose->value] ?? null);
        if ($edit->value === null || $edit->value === '') {
            if ($purpose->fallsBackTo() === null) {
                throw new InvalidChoice($edit->path, sprintf('%s must be made of something. Choose another material for it instead.', $purpose->label()));
            }
            unset($document['uses'][$purpose->value]);

            return [$document, $inverse];
        }
        $document['uses'][$purpose->value] = Field::oneOf($purpose->label(), array_column($document['materials'], 'id'))->store($edit->path, $edit->value);
        // In one order, whatever was chosen last.
        $document['uses'] = array_intersect_key(array_replace(array_fill_keys(array_column(Purpose::cases(), 'value'), ''), $document['uses']), $document['uses']);

        return [$document, $inverse];
    }

    /**
     * The usual material for a purpose and its sizes put to those of the job, or taken out again: `{without: id}`.
     *
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public function usual(array $document, Edit $edit): array
    {
        $without = is_array($edit->value) ? $edit->value['without'] ?? null : null;
        if (is_string($without)) {
            $purpose = array_search($without, $document['uses'], true);
            $others = fn (array $entries, string $key): array => array_values(array_filter($entries, fn (array $entry) => $entry[$key] !== $without));
            $document = ['materials' => $others($document['materials'], 'id'), 'stock' => $others($document['stock'], 'material'), 'uses' => array_filter($document['uses'], fn (string $id) => $id !== $without)] + $document;

            return [$document, new Edit($edit->path, $purpose === false ? null : $purpose)];
        }
        $purpose = is_string($edit->value) ? Purpose::tryFrom($edit->value) : null;
        $usual = $purpose === null ? null : (new UsualMaterials($this->format->unit))->serving($purpose);
        if ($purpose === null || $usual === null) {
            throw new InvalidChoice($edit->path, 'There is no usual material for that.');
        }
        $id = $usual['material']['id'];
        if (in_array($id, array_column($document['materials'], 'id'), true)) {
            return $this->use($document, new Edit('uses.'.$purpose->value, $id));
        }
        $document['materials'][] = $usual['material'];
        $kept = array_filter($document['stock'], fn (array $entry) => ! in_array($entry['id'], array_column($usual['stock'], 'id'), true));
        $document['stock'] = [...array_values($kept), ...$usual['stock']];
        [$document] = $this->use($document, new Edit('uses.'.$purpose->value, $id));

        return [$document, new Edit($edit->path, ['without' => $id])];
    }

    /** @param array<string, mixed> $document */
    private function refuseUsed(array $document, string $path, string $id): void
    {
        $served = array_map(fn (Purpose $purpose) => lcfirst($purpose->label()), array_filter(Purpose::cases(), fn (Purpose $purpose) => ($document['uses'][$purpose->value] ?? null) === $id));
        $stocked = count(array_filter($document['stock'], fn (array $entry) => $entry['material'] === $id));
        if ($served !== [] || $stocked > 0) {
            throw new InvalidChoice($path, 'This material is still used: '.implode(', ', [...$served, ...($stocked > 0 ? [sprintf('%d in stock', $stocked)] : [])]).'. Choose another for that first.');
        }
    }

    /**
     * What is wrong with the materials of a document as a whole: path and sentence of each fault.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, string>
     */
    public static function faults(array $document): array
    {
        $ids = array_column($document['materials'], 'id');
        $faults = [];
        foreach ($document['uses'] as $purpose => $id) {
            if (! in_array($id, $ids, true)) {
                $faults["uses.$purpose"] = sprintf('There is no material “%s”.', $id);
            }
        }
        foreach (Purpose::cases() as $purpose) {
            if ($purpose->fallsBackTo() === null && ! isset($document['uses'][$purpose->value])) {
                $faults["uses.$purpose->value"] = sprintf('%s must be made of something.', $purpose->label());
            }
        }
        foreach ($document['stock'] as $s => $entry) {
            if (! in_array($entry['material'], $ids, true)) {
                $faults["stock[$s].material"] = sprintf('There is no material “%s”.', $entry['material']);
            }
        }

        return $faults;
    }

    /** @param array<string, mixed> $document whose materials were checked */
    public static function read(array $document): Catalogue
    {
        /** @var non-empty-list<Material> $all */
        $all = array_map(self::material(...), $document['materials']);

        return new Catalogue($all, $document['uses'], ArticleChoices::read($document['articles']));
    }

    /** @param array<string, mixed> $entry */
    public static function material(array $entry): Material
    {
        $length = fn (string $name): Length => Length::ofNanometres($entry[$name]['nm']);

        $wood = Wood::tryFrom($entry['wood'] ?? '');
        [$id, $name, $thick, $density] = [$entry['id'], $entry['name'], $length('thickness'), (float) $entry['density']];

        return match ($entry['kind']) {
            'board' => new Board($id, $name, $thick, $density, $length('width'), $length($entry['cover'] === null ? 'width' : 'cover'), $wood),
            'moulding' => new Moulding($id, $name, $thick, $density, $length('width'), $wood),
            default => new SheetGood($id, $name, $thick, $density, $wood),
        };
    }
}
