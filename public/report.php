<?php

declare(strict_types=1);

use App\Upkeep\ReportInbox;

// Where boxes send their reports to. It asks the database alone, without the rest of the application, since all boxes
// of a house may wake up in one minute; what came in is read by the worker.

require __DIR__.'/../core/Upkeep/Report/ReportReader.php';
require __DIR__.'/../app/Upkeep/ReportInbox.php';

$settings = @include (string) getenv('APP_CONFIG_CACHE');
$database = $settings['database']['connections']['mariadb'] ?? null;
if ($database === null) {
    // Without kept settings the application does it.
    require __DIR__.'/index.php';

    return;
}
try {
    $inbox = new ReportInbox(
        new PDO(
            "mysql:unix_socket={$database['unix_socket']};dbname={$database['database']};charset=utf8mb4",
            $database['username'],
            $database['password'],
            [
                PDO::ATTR_PERSISTENT => true,
                PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
                PDO::ATTR_EMULATE_PREPARES => true,
            ],
        ),
        new DateTimeImmutable(),
    );
    [$code, $says] =
        $_SERVER['REQUEST_METHOD'] === 'POST'
            ? $inbox->post(
                (string) ($_SERVER['HTTP_AUTHORIZATION'] ?? ''),
                (int) ($_SERVER['CONTENT_LENGTH'] ?? 0),
                fn (int $most): string => (string) file_get_contents('php://input', length: $most),
            )
            : [405, 'A report is sent with POST.'];
} catch (PDOException) {
    [$code, $says] = [503, 'The record cannot be asked; try again in some minutes.'];
}
http_response_code($code);
header('Content-Type: text/plain; charset=utf-8');
header('X-Content-Type-Options: nosniff');
header('Cache-Control: no-store');
$code === 405 && header('Allow: POST');
in_array($code, [429, 503], true) && header('Retry-After: 60');
echo "{$says}\n";
