# frozen_string_literal: true

require "capybara"
require "selenium-webdriver"
require "puma"
require "tmpdir"

# What a browser shows of a sheet: how long until it is painted, and how many frames a second
# while a thing is dragged and the paper is panned.
class Pages
  # The driver gives up on a script at times, long before its limit; on a fresh page it answers.
  TRIES = 4
  FLAGS = %w[--headless=new --no-sandbox --disable-gpu --window-size=1280,943 --hide-scrollbars --disable-background-networking].freeze
  FRAMES = <<~JS
    const [type, done] = arguments;
    const port = document.getElementById('viewport');
    const box = port.getBoundingClientRect();
    const group = [...document.querySelectorAll('#layer-things > g')].find(g => { const b = g.getBoundingClientRect(); return b.left > box.left + 60 && b.right < box.right - 200 && b.top > box.top + 60 && b.bottom < box.bottom - 120; });
    const target = type === 'drag' && group ? group.querySelector('text') ?? group : port;
    const at = target.getBoundingClientRect();
    let [x, y] = type === 'drag' ? [at.x + at.width / 2, at.y + at.height / 2] : [box.x + 10, box.bottom - 10];
    const send = (name, on) => on.dispatchEvent(new (name.startsWith('pointer') ? PointerEvent : MouseEvent)(name, { bubbles: true, cancelable: true, clientX: x, clientY: y, button: 0, buttons: 1, view: window }));
    send('pointerdown', target); send('mousedown', target);
    // The first frames take things up; they are told by themselves.
    let frames = 0; const first = performance.now(); let start = first;
    const step = (now) => {
      frames += 1; x += 1.5; y += 0.7;
      if (frames === 6) start = now;
      send('pointermove', window); send('mousemove', window);
      if (now - start < 1500 || frames < 6) return requestAnimationFrame(step);
      send('pointercancel', window); send('mouseup', window);
      done([(frames - 6) * 1000 / (now - start), start - first]);
    };
    requestAnimationFrame(step);
  JS

  def initialize(project, sheet)
    @path = "/projects/#{project.id}/sheets/#{sheet.id}"
  end

  # @yieldparam name [String]
  # @yieldparam samples [Array<Float>]
  def measure
    visit
    yield "first paint, ms", Array.new(3) { paint }
    3.times { @session.find("[data-view=in]").click }
    %w[drag pan].each do |type|
      rate, taking_up = frames(type)
      next warn("#{type}: not measured, the browser did not answer") unless rate

      yield "#{type}: frames a second", [rate]
      yield "#{type}: the first five frames, ms", [taking_up]
    end
  ensure
    @session&.quit
  end

  private

  def visit
    Capybara.register_driver(:bench) do |app|
      options = Selenium::WebDriver::Chrome::Options.new(args: FLAGS + ["--user-data-dir=#{Dir.mktmpdir}"], binary: "/usr/bin/chromium")
      Capybara::Selenium::Driver.new(
        app,
        browser: :chrome,
        options:,
        service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      )
    end
    Capybara.server = :puma, { Silent: true, Threads: "1:4" }
    @session = Capybara::Session.new(:bench, Web::Application.with(secret: "0" * 64))
    @session.driver.browser.manage.timeouts.script_timeout = 60
    @session.visit(@path)
  end

  def paint
    @session.visit(@path)
    @session.evaluate_script("(performance.getEntriesByName('first-contentful-paint')[0] || {startTime: performance.now()}).startTime")
  end

  # @return [Array(Float, Float), nil] frames a second, and ms until the sixth frame
  def frames(type)
    TRIES.times do
      return @session.evaluate_async_script(FRAMES, type)
    rescue Selenium::WebDriver::Error::WebDriverError
      @session.visit(@path)
      3.times { @session.find("[data-view=in]").click }
    end
    nil
  end
end
