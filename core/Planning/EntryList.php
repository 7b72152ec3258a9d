<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Rules\Edit;

/**
 * Edits of a list of entries in a choice document: `stock.ID.price` changes a field, `stock.ID` with a whole entry adds it,
 * and with null takes it out. An entry that is put back goes back to its place.
 */
final readonly class EntryList
{
    /**
     * @param  string  $key  of the list in the document
     * @param  string  $noun  what an entry is called
     * @param  list<string>  $names  of an entry's fields
     * @param  \Closure(string, array<string, mixed>): ?Field  $field  by name, given the entry as it stands
     * @param  ?\Closure(array<string, mixed>): ?array{string, string}  $fault  of an entry as a whole: field and sentence
     */
    public function __construct(
        private string $key,
        private string $noun,
        private array $names,
        private \Closure $field,
        private int $most,
        private ?\Closure $fault = null,
    ) {
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
        $id = $parts[1] ?? '';
        $at = array_search($id, array_column($document[$this->key], 'id'), true);
        if (count($parts) === 2 && preg_match('/^[A-Za-z0-9-]{1,60}$/', $id)) {
            return $this->replace($document, $edit, $id, $at === false ? null : (int) $at);
        }
        $entry = $at === false ? [] : $document[$this->key][$at];
        $field = $at !== false && count($parts) === 3 ? ($this->field)($parts[2], $entry) : null;
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not %s.', $edit->path, $this->noun));
        }
        $inverse = new Edit($edit->path, $entry[$parts[2]] ?? null);
        $entry[$parts[2]] = $field->store($edit->path, $edit->value);
        $this->refuseFault($entry, $edit->path);
        $document[$this->key][$at] = $entry;

        return [$document, $inverse];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     */
    private function replace(array $document, Edit $edit, string $id, ?int $at): array
    {
        $inverse = new Edit($edit->path, $at === null ? null : $document[$this->key][$at] + ['at' => $at]);
        $entries = array_values(array_filter($document[$this->key], fn (array $entry) => $entry['id'] !== $id));
        if ($edit->value !== null) {
            $given = is_array($edit->value) ? $edit->value : [];
            $entry = ['id' => $id];
            foreach ($this->names as $name) {
                $entry[$name] = ($this->field)($name, $given)?->store($edit->path.'.'.$name, $given[$name] ?? null);
            }
            $this->refuseFault($entry, $edit->path);
            if (count($entries) >= $this->most) {
                throw new InvalidChoice($edit->path, sprintf('There are %d already, which is the most. Take one out first.', count($entries)));
            }
            $place = $at ?? ($given['at'] ?? count($entries));
            array_splice($entries, is_int($place) ? $place : count($entries), 0, [$entry]);
        }
        $document[$this->key] = $entries;

        return [$document, $inverse];
    }

    /** @param array<string, mixed> $entry */
    private function refuseFault(array $entry, string $path): void
    {
        $fault = $this->fault === null ? null : ($this->fault)($entry);
        if ($fault !== null) {
            $parts = explode('.', $path);
            throw new InvalidChoice($parts[0].'.'.$parts[1].'.'.$fault[0], $fault[1]);
        }
    }
}
