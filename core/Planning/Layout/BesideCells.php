<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

/** What a layout has beside its cells, members, fronts and options: it goes along when the cells are divided, joined or taken away. */
final readonly class BesideCells
{
    public function __construct(private LayoutIds $ids)
    {
    }

    /**
     * What stands under a bay goes on under the bays that came of it; and what a member spans is still there.
     *
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $bay  the first of those that came of one
     * @param  list<string>  $new  the bays beside it that came of it
     * @param  string  $of  the bay they came of
     * @return array<string, mixed>
     */
    public function follow(array $layout, array $bay, array $new, string $of): array
    {
        $ids = LayoutDocument::ids($layout);
        $tops = array_column($bay['tiers'], 'id');
        foreach ($layout['members'] as $m => $member) {
            $cells = in_array($of, $member['cells'], true) ? [...$member['cells'], ...$new] : $member['cells'];
            // A worktop over a tier lies over its copies too, where they stand side by side.
            foreach ($new as $id) {
                [$r, $b] = LayoutDocument::bayAt($layout, $id) ?? [0, 0];
                foreach (array_column($layout['runs'][$r]['bays'][$b]['tiers'], 'id') as $t => $tier) {
                    if (isset($tops[$t]) && in_array($tops[$t], $member['cells'], true)) {
                        $cells[] = $tier;
                    }
                }
            }
            $layout['members'][$m]['cells'] = array_values(array_unique(array_intersect($cells, $ids)));
        }
        $layout['members'] = array_values(array_filter($layout['members'], fn (array $member) => $member['cells'] !== []));
        foreach (['fronts', 'options'] as $list) {
            $layout[$list] = $this->copied($layout, $list, $tops, $new, $ids);
        }

        return $layout;
    }

    /**
     * A tier that was copied has a front and options of its own like the one before it; those whose tier went go with it.
     *
     * @param  array<string, mixed>  $layout
     * @param  list<string>  $from  tiers of the bay
     * @param  list<string>  $new  bays that came of it
     * @param  list<string>  $ids  that are there
     * @return list<array<string, mixed>>
     */
    private function copied(array $layout, string $list, array $from, array $new, array $ids): array
    {
        $entries = array_values(array_filter($layout[$list], fn (array $entry) => array_intersect($entry['cells'], $ids) !== []));
        $copies = [];
        foreach ($new as $id) {
            [$r, $b] = LayoutDocument::bayAt($layout, $id) ?? [0, 0];
            foreach (array_column($layout['runs'][$r]['bays'][$b]['tiers'], 'id') as $t => $tier) {
                foreach (isset($from[$t]) ? $entries : [] as $entry) {
                    if (in_array($from[$t], $entry['cells'], true)) {
                        $copies[] = array_replace($entry, ['id' => $this->ids->next(), 'cells' => [$tier]]);
                    }
                }
            }
        }

        return [...$entries, ...$copies];
    }
}
