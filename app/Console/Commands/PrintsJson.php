<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Closure;
use Incastro\Exchange\BadFile;
use Incastro\Measure\Unit;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** JSON on standard output; on bad input one line per fault on standard error, exit 2, and nothing on standard output. */
trait PrintsJson
{
    /** An option or argument that is not known is bad input like any other. */
    public function run(InputInterface $input, OutputInterface $output): int
    {
        try {
            return parent::run($input, $output);
        } catch (ExceptionInterface $unknown) {
            fwrite(STDERR, 'command:0:arguments: '.$unknown->getMessage()."\n");

            return 2;
        }
    }

    /** @param Closure(): array<mixed> $compute */
    private function printed(Closure $compute): int
    {
        return $this->written(fn (): string => json_encode($compute(), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
    }

    /** @param Closure(): string $compute  what is printed as it is */
    private function written(Closure $compute): int
    {
        try {
            $text = $compute();
        } catch (BadFile $bad) {
            fwrite(STDERR, $bad->getMessage()."\n");

            return 2;
        }
        $this->output->write($text, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @throws BadFile where the option is no unit */
    private function unit(): Unit
    {
        return match ($this->option('unit')) {
            'mm' => Unit::Millimetre,
            'in' => Unit::Inch,
            default => throw BadFile::at('--unit:0:unit', sprintf('“%s” is not a unit here. It is mm or in.', $this->option('unit'))),
        };
    }

    /** @throws BadFile where the argument names no file */
    private function read(string $argument): string
    {
        $file = (string) $this->argument($argument);

        return is_file($file) ? (string) file_get_contents($file) : throw BadFile::at("$file:0:$argument", 'There is no such file.');
    }
}
