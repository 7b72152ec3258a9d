# Figures that the project holds itself to, printed beside their goals. Called by ./incastro bench.
install_debian "${TEST_PACKAGES[@]}"
php -d opcache.enable_cli=1 tools/bench/core.php
php -d opcache.enable_cli=1 tools/bench/survey.php
php -d opcache.enable_cli=1 tools/bench/fit.php
php -d opcache.enable_cli=1 tools/bench/cut.php 2 0.3
php -d opcache.enable_cli=1 tools/bench/saw.php
php -d opcache.enable_cli=1 tools/bench/fitting.php
node tools/bench/browser.mjs
