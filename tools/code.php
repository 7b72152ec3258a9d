<?php

declare(strict_types=1);

// Prints an address as a QR code for a terminal, two rows of modules a line: php tools/code.php URL

require __DIR__.'/../vendor/autoload.php';

$code = (new TCPDF2DBarcode($argv[1] ?? '', 'QRCODE,L'))->getBarcodeArray();
$rows = is_array($code) ? $code['bcode'] : [];
$quiet = 2;
$isDark = fn (int $y, int $x): bool => (bool) ($rows[$y][$x] ?? false);
$size = count($rows);
for ($y = -$quiet; $y < $size + $quiet; $y += 2) {
    $line = '';
    for ($x = -$quiet; $x < $size + $quiet; $x++) {
        // Light modules are printed, so that a dark terminal shows the code the right way round.
        $line .= match ([$isDark($y, $x), $isDark($y + 1, $x)]) {
            [true, true] => ' ',
            [true, false] => '▄',
            [false, true] => '▀',
            [false, false] => '█',
        };
    }
    echo '  ', $line, "\n";
}
