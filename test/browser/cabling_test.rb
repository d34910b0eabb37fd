# frozen_string_literal: true

require_relative "../support/browser_helper"

# Units are cabled by drags and by sentences, and whoever lays the cables ticks them off; with a server that takes its time.
class CablingBrowserTest < Minitest::Test
  include BrowserHelper

  TEXT = <<~TEXT
    project P
    sheet S: physical network
    switch core-01, 2 members, ports 1-24 copper 1G, ports up1-up4 fibre 10G
    switch acc-01, ports 1-24 copper 1G, ports up1-up2 fibre 10G
    switch acc-02, ports 1-24 copper 1G, ports up1-up2 fibre 10G
    server web, ports eth0 copper 1G
  TEXT

  def cables
    set = model_of(@project)
    set.of_kind("link").sort_by(&:ordinal).map do |cable|
      [*cable.ends.flat_map { |one| [set.element(one.target_id).name, one.facts["port"]] }, *cable.facts.values_at("medium", "speed")]
    end
  end

  def test_a_drag_between_two_units_takes_the_ports_that_fit
    @project = project(TEXT)
    open_sheet(@project, "S")
    latency(0.3)
    # The sheet arranges itself while it grows, and whoever drags next looks where things are by then.
    [%w[acc-01 core-01], %w[acc-01 core-01], %w[web acc-02]].each do |one, other|
      from_edge(thing(one), thing(other))
      settled
    end
    type "/uplink acc-02 to core-01 twice, fibre\n"
    settled
    assert_equal(
      [
        ["acc-01", "up1", "core-01", "1/up1", "fibre", "10G"],
        ["acc-01", "up2", "core-01", "2/up1", "fibre", "10G"],
        ["web", "eth0", "acc-02", "1", "copper", "1G"],
        ["acc-02", "up1", "core-01", "1/up2", "fibre", "10G"],
        ["acc-02", "up2", "core-01", "2/up2", "fibre", "10G"]
      ],
      cables
    )
    assert_css "#layer-labels text", text: "2/up2"
    assert_css "#facts", text: /leads|ports/
    find("#layer-labels text", text: "2/up2", match: :first).click
    click_button "Show the way", match: :first
    assert_css ".lit, .lit-up", minimum: 2
    thing("core-01").click
    click_button "Without member 1?"
    assert_css "#lost", text: "Nothing is cut off"
    assert_accessible "a physical network with its facts"
  end

  def test_the_schedule_is_handed_over_and_ticked_off
    @project = project("#{TEXT}uplink acc-01 to core-01 twice, multimode\nweb eth0 to acc-01 3, copper 1G, 12m")
    open_sheet(@project, "S")
    visit "/projects/#{@project.id}/cabling"
    assert_css "table.register tbody tr", text: "core-01"
    assert_accessible "the port schedule"
    click_link "Tick off while cabling"
    assert_css "#work-left", text: "3 of 3 cables to be laid."
    assert_accessible "the list of cables to be laid"
    latency(0.3)
    all(".work-list input").each(&:click)
    all(".work-list input").last.click
    settled
    assert_equal([true, true, nil], model_of(@project).of_kind("link").sort_by { |one| one["laid"] ? 0 : 1 }.map { |one| one["laid"] })
    assert_css "#work-left", text: "1 of 3 cables to be laid."
    click_link "Port schedule"
    click_link "acc-01", match: :first
    assert_css "h1", text: "Ports of acc-01"
    assert_accessible "the ports of a unit"
  end

  def test_a_bundle_is_opened_and_the_ports_of_a_unit_are_drawn_and_compared
    @project = project("#{TEXT}uplink acc-01 to core-01 twice, fibre, bundle po1\nweb eth0 to acc-01 3, copper 1G, 12m\nacc-02 5 to " \
                       "core-01 1/5, copper 1G")
    open_sheet(@project, "S")
    latency(0.3)
    find("#layer-labels text", text: "2 × 10G po1").click
    # The facts are not there yet; the key waits for them.
    press("o")
    assert_css "#layer-labels text", text: "2/up1"
    assert_no_css "#layer-labels text", text: "2 × 10G"
    press("o")
    assert_css "#layer-labels text", text: "2 × 10G po1"
    thing("acc-01").click
    click_button "Draw them"
    assert_css ".where strong", text: "Ports of acc-01"
    find("#layer-things g[data-part]", text: "web eth0").click
    assert_css "#facts h2", text: /link|web/
    type "/swap acc-01 3 and acc-01 4\nweb eth0 to acc-01 4, 15m\n"
    settled
    assert_css "#layer-things g[data-part]", text: /4.*web eth0/m
    assert_equal([["web", "eth0", "acc-01", "4", "copper", "1G"]], cables.select { |cable| cable[0] == "web" })
    assert_equal([15], model_of(@project).of_kind("link").filter_map { |one| one["length"] })
    # The line has the keys still, and a slash there begins something else.
    type "switch acc-02\n"
    settled
    assert_css "#layer-things > g", text: "acc-02"
    thing("acc-01").click
    find("#layer-things > g", text: "acc-02").click(:shift)
    assert_css "#facts", text: "Their ports compared"
    assert_css "#facts td", text: "core-01, copper, 1G"
    assert_accessible "the ports of two units"
  end
end
