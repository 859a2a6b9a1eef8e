<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use RuntimeException;
use Tests\Door;

/** A headless Chromium with its ChromeDriver, both ended when this object goes. */
final class Chrome
{
    private const STARTUP_TRIES = 100;

    public readonly RemoteWebDriver $driver;

    /** @var resource */
    private $process;

    private string $profile;

    private readonly ChromeDevToolsDriver $tools;

    public function __construct(private readonly string $base, int $width = 1280, int $height = 800)
    {
        $port = self::freePort();
        $this->profile = sys_get_temp_dir().'/burrow-chrome-'.bin2hex(random_bytes(6));
        mkdir($this->profile, 0700, true);
        $process = proc_open(
            ['chromedriver', "--port={$port}", "--log-path={$this->profile}/driver.log"],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            null,
            [
                'HOME' => $this->profile,
                'TMPDIR' => $this->profile,
                'PATH' => getenv('PATH') ?: '/usr/bin:/bin',
            ],
        );
        $this->process = is_resource($process)
            ? $process
            : throw new RuntimeException('chromedriver did not start.');
        // It keeps connections open, so asking its status with a stream would wait for the stream's own time-out.
        for ($try = 0; ! Door::isOpen('127.0.0.1', $port); $try++) {
            $try < self::STARTUP_TRIES || throw new RuntimeException('chromedriver does not answer.');
            usleep(100000);
        }
        $options = (new ChromeOptions())->addArguments([
            '--headless',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            '--hide-scrollbars',
            '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1',
            "--user-data-dir={$this->profile}/profile",
        ]);
        $options->setExperimentalOption('prefs', ['download.default_directory' => $this->profile]);
        $this->driver = RemoteWebDriver::create(
            "http://127.0.0.1:{$port}",
            DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY_W3C, $options),
            30000,
            90000,
        );
        $this->tools = new ChromeDevToolsDriver($this->driver);
        $this->resize($width, $height);
    }

    public function __destruct()
    {
        if (isset($this->driver)) {
            $this->driver->quit();
        }
        proc_terminate($this->process);
        proc_close($this->process);
        exec('rm -rf '.escapeshellarg($this->profile));
    }

    public function resize(int $width, int $height): self
    {
        $this->tools->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);

        return $this;
    }

    /** Nothing moves: a colour on its way to another would be measured as what it is on the way. */
    public function still(): self
    {
        $this->tools->execute('Emulation.setEmulatedMedia', [
            'features' => [['name' => 'prefers-reduced-motion', 'value' => 'reduce']],
        ]);

        return $this;
    }

    public function go(string $path): self
    {
        $this->driver->get($this->base.$path);

        return $this;
    }

    public function login(string $name = 'warden', string $password = 'thistledown-demo'): self
    {
        $this->go('/login');
        $this->find('#name')->sendKeys($name);
        $this->find('#password')->sendKeys($password)->submit();
        $this->until(fn (): bool => ! str_contains($this->driver->getCurrentURL(), '/login'));

        return $this;
    }

    public function find(string $selector): WebDriverElement
    {
        return $this->driver->findElement(WebDriverBy::cssSelector($selector));
    }

    public function has(string $selector): bool
    {
        return $this->driver->findElements(WebDriverBy::cssSelector($selector)) !== [];
    }

    /** Everything a reader sees on the page. */
    public function text(): string
    {
        return $this->find('body')->getText();
    }

    public function click(string $selector): void
    {
        $element = $this->find($selector);
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
        $element->click();
    }

    /** Clicks the button or link with this text. */
    public function press(string $text): void
    {
        $element = $this->driver->findElement(
            WebDriverBy::xpath(
                "//*[self::button or self::a or self::summary][contains(normalize-space(.), \"{$text}\")]",
            ),
        );
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
        $element->click();
    }

    public function choose(string $name, string $value): void
    {
        $this->find("select[name='{$name}'] option[value='{$value}']")->click();
    }

    /** Waits until something is so; a condition that throws because the page is just changing counts as not yet. */
    public function until(callable $condition, float $seconds = 15): void
    {
        $end = microtime(true) + $seconds;
        do {
            try {
                if ($condition() === true) {
                    return;
                }
            } catch (\Facebook\WebDriver\Exception\WebDriverException) {
            }
            usleep(60000);
        } while (microtime(true) < $end);

        throw new RuntimeException(
            'Waited in vain at '.$this->driver->getCurrentURL().":\n".mb_substr($this->text(), 0, 4000),
        );
    }

    public function shot(string $file): void
    {
        $this->driver->executeAsyncScript('document.fonts.ready.then(() => arguments[0]())');
        usleep(150000);
        $this->driver->takeScreenshot($file);
    }

    /** @return list<string> what the browser itself complained about */
    public function complaints(): array
    {
        $lines = array_filter(
            $this->driver->manage()->getLog('browser'),
            fn (array $line): bool => $line['level'] === 'SEVERE',
        );

        return array_values(array_map(fn (array $line): string => $line['message'], $lines));
    }

    /** @return list<string> serious and critical violations that axe-core finds on this page */
    public function violations(): array
    {
        $this->driver->executeScript((string) file_get_contents(__DIR__.'/vendor/axe.min.js'));
        $found = $this->driver->executeAsyncScript(
            'const done = arguments[0]; axe.run(document, {resultTypes: ["violations"]}).then((r) => done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => v.id + ": " + v.nodes.slice(0, 3).map((n) => n.target.join(" ") + " " + (n.any[0]?.message ?? "")).join(" | "))))',
        );

        return is_array($found) ? array_values(array_filter($found, is_string(...))) : [];
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = $socket === false ? '' : (string) stream_socket_get_name($socket, false);

        return (int) substr($name, strrpos($name, ':') + 1);
    }
}
