<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Rules\Schools\DrawerRun;

final class Runs
{
    public static function of(DrawerRun $run): Run
    {
        return match ($run) {
            DrawerRun::Side => new SideMounted(),
            DrawerRun::Under => new Undermount(),
            DrawerRun::Tray => new OnStrips(),
            DrawerRun::Runner => new OnRunners(),
            DrawerRun::Castor => new OnCastors(),
        };
    }
}
