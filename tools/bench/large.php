<?php

declare(strict_types=1);

// The document of a large job: so many bays of 4 tiers in an alcove, with so many things on its walls; with drawers or doors in every cell.

use Incastro\Exchange\JobFile;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;

require_once __DIR__.'/../../vendor/autoload.php';

$file = __DIR__.'/../../database/demo/map-wall.json';
$demo = JobFile::read($file, (string) file_get_contents($file))['job'];
$mm = fn (float $length) => ['nm' => (int) ($length * 1e6), 'typed' => ''];

return function (int $count, int $things, bool $isClosed = false) use ($demo, $mm): array {
    $bays = $fronts = [];
    for ($b = 0; $b < $count; $b++) {
        $tiers = [];
        for ($t = 0; $t < 4; $t++) {
            $hasDrawers = $isClosed && $t % 2 === 0;
            $tiers[] = Doc::tier("t-$b-$t", ['joined' => $t !== 2, 'holds' => $hasDrawers ? Doc::holds('drawers', ['count' => 2]) : Recipe::box(0, $t % 2)]);
            if ($isClosed && ! $hasDrawers) {
                $fronts[] = Doc::member("front-$b-$t", 'door', ["t-$b-$t"]);
            }
        }
        $bays[] = Doc::bay("b-$b", $tiers, ['joined' => $b % 3 === 1]);
    }
    $space = &$demo['spaces'][0];
    $space['layout'] = ['runs' => [Doc::run('run', 0, $bays, ['depth' => $mm(400)])], 'members' => [Doc::member('plinth', 'plinth', array_column($bays, 'id'))], 'fronts' => $fronts] + Doc::none();
    $thing = $space['things'][2];
    $space['things'] = [];
    for ($i = 0; $i < $things; $i++) {
        $kind = ['socket', 'pipe', 'stud', 'valve'][$i % 4];
        $space['things'][] = ['id' => "thing-$i", 'kind' => $kind, 'name' => "Thing $i", 'along' => $mm(90 + 150 * $i), 'up' => $mm(200 + 90 * ($i % 7)), 'width' => $mm(40), 'height' => $mm(60), 'stands_out' => $mm(30), 'rule' => $kind === 'stud' ? 'may-be-covered' : 'reachable', 'direction' => $kind === 'pipe' ? 'out' : null] + $thing;
        $space['layout']['openings'][] = "thing-$i";
    }

    return $demo;
};
