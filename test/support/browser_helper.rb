# frozen_string_literal: true

require_relative "app_helper"
require_relative "served"
require "capybara/minitest"
require "selenium-webdriver"
require "axe/matchers/be_axe_clean"
require "puma"
require "tmpdir"

# A page is looked at where it stands: otherwise the findings are put together in a second window, which has to open within a second.
Axe::Configuration.instance.legacy_mode = true

# What belonged to a page that is being left is looked for again, whatever the browser calls that.
class ChromiumDriver < Capybara::Selenium::Driver
  def invalid_element_errors = super | [Selenium::WebDriver::Error::UnknownError]
end

Capybara.register_driver(:chromium) do |app|
  flags = %w[
    --headless=new
    --no-sandbox
    --disable-gpu
    --disable-quic
    --no-first-run
    --disable-background-networking
    --disable-component-update
    --force-prefers-reduced-motion
    --disable-sync
    --disable-extensions
    --disable-component-extensions-with-background-pages
    --disable-default-apps
    --disable-breakpad
    --disable-site-isolation-trials
    --renderer-process-limit=1
    --disable-features=SpareRendererForSitePerProcess,BackForwardCache,Translate,OptimizationHints,MediaRouter,PaintHolding
    --window-size=1280,800
    --hide-scrollbars
    --force-device-scale-factor=1
  ]
  options =
    Selenium::WebDriver::Chrome::Options.new(
      args: flags + ["--user-data-dir=#{Dir.mktmpdir("basalt-browser")}"],
      binary: "/usr/bin/chromium"
    )
  options.add_preference("download.default_directory", BrowserHelper::DOWNLOADS)
  ChromiumDriver.new(
    app,
    browser: :chrome,
    options:,
    service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
  )
end

module BrowserHelper
  DOWNLOADS = Dir.mktmpdir("basalt-downloads")
  Minitest.after_run { FileUtils.rm_rf(DOWNLOADS) }

  include AppHelper
  include Capybara::DSL
  include Capybara::Minitest::Assertions

  SERVED = Served.new
  Capybara.app = SERVED
  Capybara.server = :puma, { Silent: true, Threads: "1:6" }
  Capybara.default_driver = :chromium
  Capybara.default_max_wait_time = 12
  Capybara.enable_aria_label = true

  # @return [String] where a file is that the browser was told to load; it is empty there before it is whole
  def downloaded(name)
    path = File.join(DOWNLOADS, name)
    page.document.synchronize(15, errors: [Errno::ENOENT, EOFError]) { File.size(path).positive? ? path : raise(EOFError, path) }
  end

  def setup
    super
    SERVED.renew
    page.current_window.resize_to(1280, 800)
  end

  # An act that was refused or failed is a failure of the test, unless it asked for it.
  def teardown
    save_picture if failures.any?
    bad = SERVED.bad
    Capybara.reset_sessions!
    super
    assert_empty bad.map(&:to_a), "acts were refused" unless @refusals_expected || failures.any?
  end

  def expect_refusals = @refusals_expected = true

  # Types as a person does, who waits for nothing: tabs and line ends are the keys.
  def type(text, every: 0.08)
    text
      .each_char
      .each_slice(40) do |keys|
        keys
          .inject(page.driver.browser.action) do |chain, key|
            chain.send_keys({ "\t" => :tab, "\n" => :enter, "\e" => :escape }.fetch(key, key)).pause(duration: every)
          end
          .perform
      end
  end

  # Several keys at once, as in Ctrl and A.
  def chord(held, key) = page.driver.browser.action.key_down(held).send_keys(key).key_up(held).perform
  def press(*keys) = keys.inject(page.driver.browser.action) { |chain, key| chain.send_keys(key) }.perform

  # @param seconds [Float] between a request and its answer
  def latency(seconds)
    page.driver.browser.network_conditions = { offline: false, latency: (seconds * 1000).round, throughput: 20_000_000 }
  end

  # The model as it is when what was done on the page has arrived.
  def model_of(project)
    settled if page.current_url.start_with?("http")
    super
  end

  # Waits until nothing is on its way any more.
  def settled
    assert page.has_no_css?("#waiting:not([hidden])", wait: 30)
    wait = Time.now + 30
    until page.evaluate_script("Object.keys(localStorage).every((key) => !key.startsWith('basalt.outbox.'))") || Time.now > wait
      IO.select(nil, nil, nil, 0.05)
    end
    assert_operator Time.now, :<, wait, "acts still wait"
  end

  def save_picture
    folder = File.join(APPLICATION_ROOT, "tmp")
    FileUtils.mkdir_p(folder)
    page.driver.save_screenshot(File.join(folder, "#{name}.png"))
  end

  def open_sheet(project, name)
    visit "/projects/#{project.id}/sheets/#{sheet_of(project, name).id}"
  end

  # Types a statement and waits for the line to be taken.
  def say(statement)
    fill_in "statement", with: statement
    find_field("statement").send_keys(:enter)
    assert_field("statement", with: "")
  end

  # The group of a thing on the sheet.
  def thing(title) = find("#layer-things > g", text: title, match: :first)

  # Where a group stands on the screen.
  def place(group)
    page.evaluate_script(
      "(r => ({x: Math.round(r.x), y: Math.round(r.y), w: Math.round(r.width)}))(arguments[0].getBoundingClientRect())",
      group
    )
  end

  def click_paper(x, y)
    at = place(find("#viewport"))
    page.driver.browser.action.move_to_location(at["x"] + x, at["y"] + y).click.perform
  end

  # From the middle of the lower edge of a thing to another.
  def from_edge(from, to)
    standing(from, to) { edge(from).move_to(to.native).release.perform }
  end

  def drag_from_edge(from, by_x, by_y) = standing(from) { edge(from).move_by(by_x, by_y).release.perform }

  def edge(group)
    at = page.evaluate_script(<<~JS, group)
      (g => {
        const [x, y, w, h] = g.dataset.box.split(' ').map(Number);
        const drawing = document.getElementById('drawing');
        const at = new DOMPoint(x + w * 0.8, y + h - 2).matrixTransform(drawing.getScreenCTM());
        return [Math.round(at.x), Math.round(at.y)];
      })(arguments[0])
    JS
    page.driver.browser.action.move_to_location(at[0], at[1] - 8).move_to_location(*at).click_and_hold.move_by(4, 8)
  end

  def drag(group, by_x, by_y)
    standing(group) do
      page
        .driver
        .browser
        .action
        .move_to(group.native)
        .click_and_hold
        .move_by(by_x / 2, by_y / 2)
        .move_by(by_x - (by_x / 2), by_y - (by_y / 2))
        .release
        .perform
    end
  end

  # What is drawn anew while the hand is on its way there is met all the same.
  def standing(*groups)
    yield
  rescue Selenium::WebDriver::Error::StaleElementReferenceError
    groups.each(&:reload)
    yield
  end

  def assert_accessible(message)
    matcher = Axe::Matchers::BeAxeClean.new
    assert matcher.matches?(page), "#{message}: #{matcher.failure_message}"
  end
end
