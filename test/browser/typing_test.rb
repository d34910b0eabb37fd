# frozen_string_literal: true

require_relative "../support/browser_helper"

# Somebody types and points as people do, eight keys a second, and waits for nothing: whatever the
# server's distance and moods, the model holds what was typed, nothing else, and nothing is refused.
class TypingTest < Minitest::Test
  include BrowserHelper

  WEATHER = {
    "near" => -> {}, "60 ms away" => -> { latency(0.06) }, "300 ms away" => -> { latency(0.3) },
    "failing, losing answers and slow" => -> { latency(0.06) || SERVED.trouble(nil, :fails, :loses, :slow) },
    "restarted in between" => -> { @restarts = true }
  }.freeze

  NETWORK = "project P\nsheet S: logical network\nrouter gw\nserver s1\nserver s2\nserver s10\nsubnet Office 10.1.0.0/24"
  DATA = "project P\nsheet S: tables\ntable crews\ntable depots\ncrews has crew_id bigint key\ndepots has depot_id bigint key"

  def in_every_weather(text)
    WEATHER.each do |name, weather|
      @weather = name
      @restarts = false
      SERVED.renew
      AppHelper.instance_method(:setup).bind_call(self)
      @project = project(text)
      open_sheet(@project, "S")
      instance_exec(&weather)
      yield
      latency(0)
    end
  end

  # In the midst of the typing the server goes away for a moment.
  def type(text, **)
    return super unless @restarts

    super(text[0, text.length / 2], **)
    SERVED.restart(1.5)
    @restarts = false
    super(text[text.length / 2..], **)
  end

  # What the project holds, as sentences.
  def holds(*sentences)
    settled
    set = model_of(@project)
    told = Basalt::Statements::Teller.new(set).sentences(set.sheet_list.first.id).flat_map(&:last)
    assert_equal sentences.sort, told.sort, @weather
    assert_empty SERVED.bad.map(&:to_a), @weather
    assert_no_css "#refused .refusal", visible: :all
    assert_no_css "#answer .refusal", visible: :all
  end

  def focus = page.evaluate_script("document.activeElement.id || document.activeElement.dataset.key || document.activeElement.className")
  def begun = ["router gw", "server s1", "server s10", "server s2", "subnet Office 10.1.0.0/24"]

  def test_new_rows_of_the_register
    in_every_weather("project P\nsheet S: logical network") do
      press("2")
      type("web\tserver\ndb\tstorage\nfw\tfirewall\nu1\tups\nx\tfirewall\n")
      assert_equal "name", focus, @weather
      holds "server web", "storage db", "firewall fw", "ups u1", "firewall x"
      assert_equal %w[web db fw u1 x], all("#table tr[data-element] td[data-key=name]").map(&:text), @weather
    end
  end
end
