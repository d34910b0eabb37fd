# frozen_string_literal: true

require "csv"
require_relative "../support/request_helper"

# The port schedule through the pages: looked at, printed, ticked off; traces and losses beside what is selected.
class CablingPagesTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}/cabling"
  def set = model_of(@project)
  def unit(name) = set.named(name).find { |one| one.kind == "device" }
  def cable(from, to) = set.of_kind("link").find { |one| one.targets.sort == [unit(from).id, unit(to).id].sort }

  def test_the_schedule_tells_each_cable_and_finds_those_of_a_unit
    page = Nokogiri::HTML5(get(base).body)
    assert_equal set.of_kind("link").length, page.css("table")[0].css("tbody tr").length
    assert_equal set.of_kind("link").length, CSV.parse(get("#{base}.csv").body, headers: true).length
    rows = Nokogiri::HTML5(get(base, of: "ACC-04").body).css("table")[0].css("tbody tr")
    assert_equal([%w[acc-04 up1], %w[acc-04 up2]], rows.map { |row| row.css("td").first(2).map { |cell| cell.text.strip } })
    assert_match "No cable ends at anything called like", get(base, of: "<nobody>").body
    refute_match "<nobody>", last_response.body
    printed = set.of_kind("link").reject { |link| link["medium"] == "radio" }
    assert_equal printed.length * 2, Nokogiri::HTML5(get("#{base}/labels").body).css(".cable-labels li").length
  end

  def test_a_unit_tells_its_ports_used_and_free
    page = Nokogiri::HTML5(get("#{base}/units/#{unit("core-01").id}").body)
    assert_match(/switch, 2 members: 64 ports, 46 free/, page.text.squeeze(" "))
    lines = page.css("tbody tr").map { |row| row.css("td").map { |cell| cell.text.strip } }
    assert_includes lines, ["1/up4", "fibre 10G pluggable", "acc-04 up1", "multimode, 10G, to be laid"]
    assert_includes lines, ["2/3 to 2/24", "copper 1G", "22 free ports", ""]
    assert_match "attachment", get("#{base}/units/#{unit("core-01").id}/schedule.csv").headers["content-disposition"]
    assert_equal 404, get("#{base}/units/#{set.of_kind("subnet").first.id}").status
  end

  def test_cables_are_ticked_off_once_and_can_be_taken_up_again
    one = cable("acc-01", "core-01")
    left = -> { Nokogiri::HTML5(get("#{base}/work").body).at_css("#work-left").text }
    before = left.call[/\d+/].to_i
    act = SecureRandom.uuid
    2.times do
      post("#{base}/laid/#{one.id}", { token:, laid: "yes" }, "HTTP_HX_REQUEST" => "true", "HTTP_X_ACT" => act)
      assert_match(/#{before - 1} of/, last_response.body)
    end
    assert_equal true, set.element(one.id)["laid"]
    assert_equal(1, Store::JournalEntry.where(project_id: @project.id).count { |entry| entry.said.start_with?("ticked off") })
    post("#{base}/laid/#{one.id}", { token: }, "HTTP_HX_REQUEST" => "true")
    assert_nil set.element(one.id)["laid"]
    assert_equal before, left.call[/\d+/].to_i
    post("#{base}/laid/#{unit("core-01").id}", { token:, laid: "yes" }, "HTTP_HX_REQUEST" => "true")
    assert_match "Only a cable is laid", last_response.body
  end

  def test_what_is_planned_is_not_planned_any_more_when_it_is_laid
    one = cable("plc-08", "acc-02")
    post("#{base}/laid/#{one.id}", { token:, laid: "yes" }, "HTTP_HX_REQUEST" => "true")
    assert_equal [true, nil], set.element(one.id).facts.values_at("laid", "planned")
  end

  def test_what_is_selected_tells_where_it_leads_and_what_it_cuts_off
    sheet = sheet_of(@project, "Greyholm cabling")
    get("/projects/#{@project.id}/sheets/#{sheet.id}/facts/#{cable("scada-01", "pp-01").id}", {}, "HTTP_HX_REQUEST" => "true")
    text = Nokogiri::HTML5.fragment(last_response.body).text.squeeze(" ")
    assert_match "scada-01 eth0 → pp-01 1 → core-01 1/3; core-01 is reached", text
    assert_match(/acc-04/, get("#{base}/lost/#{unit("core-01").id}?member=1").body)
    assert_match(/Nothing is cut off/, get("#{base}/lost/#{cable("acc-01", "core-01").id}").body)
  end

  def test_two_things_that_are_selected_tell_the_way_between_them
    sheet = sheet_of(@project, "Greyholm plant network")
    way = ->(*names) do
      get("/projects/#{@project.id}/sheets/#{sheet.id}/chosen", { chosen: names.map { |name| unit(name).id }.join(" ") })
      Nokogiri::HTML5.fragment(last_response.body).text.squeeze(" ")
    end
    assert_match "scada-01 → Plant → fw-01 → Laboratory → desk-03", way.("scada-01", "desk-03")
    refute_match "The way between them", way.("scada-01", "desk-03", "fw-01")
  end

  def test_a_table_of_neighbours_is_compared_with_the_plan
    table = { lldp: [{ interface: [["1/20", "acc-02", "20"], ["1/up1", "acc-02", "up1"]].map do |port, far, far_port|
      { name: port, chassis: [{ name: [{ value: far }] }], port: [{ id: [{ type: "ifname", value: far_port }] }] }
    end }] }
    upload = ->(text) { Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "n.json") }
    before = set.of_kind("link").length
    post("#{base}/units/#{unit("core-01").id}/neighbours", { token:, file: upload.(JSON.generate(table)) })
    assert_match(/adds.*contradicts.*the plan has core-01 1\/up1 to acc-01 up1/m, last_response.body)
    assert_equal before + 1, set.of_kind("link").length
    post("#{base}/units/#{unit("core-01").id}/neighbours", { token:, file: upload.(JSON.generate(table)[0, 90]) })
    assert_match "only the beginning of it", last_response.body
    assert_equal before + 1, set.of_kind("link").length
  end

  # What is typed is shown as ports would be called; what is agreed on is what drawings and schedules say from then on.
  def test_rules_are_tried_agreed_on_and_refused
    sample = ->(pattern) { Nokogiri::HTML5.fragment(get("#{base}/rules/sample", numbering: pattern).body).text.squeeze(" ") }
    assert_match "2/3/24", sample.("")
    assert_match(/port 24, member 2, slot 3\s*24@2-3/, sample.("PORT@MEMBER-SLOT"))
    assert_match "between MEMBER, SLOT and PORT something has to stand", sample.("MEMBERPORT")
    assert_match "names PORT once", sample.("<b>")
    post("#{base}/rules", { token:, "numbering" => "PORT@MEMBER", "host names" => "a-99", "longest copper" => "150" })
    assert_equal 302, last_response.status
    assert_match 'value="PORT@MEMBER"', get("#{base}/rules").body
    assert_match "1@2", get("#{base}/units/#{unit("core-01").id}").body
    open = Store::ProjectSession.for(@project.id).open(&:findings).map(&:id)
    refute_includes open, "too-long"
    refute_includes open, "port-does-not-exist"
    assert_includes open, "host-name-breaks-rule"
    post("#{base}/rules", { token:, "numbering" => "nothing" })
    assert_match "names PORT once", last_response.body
    assert_match 'value="PORT@MEMBER"', get("#{base}/rules").body
  end

  def test_a_cable_from_unit_to_unit_proposes_its_ports
    sheet = sheet_of(@project, "Greyholm cabling")
    ends = { from: unit("scada-01").id, to: unit("acc-05").id }
    post("/projects/#{@project.id}/sheets/#{sheet.id}/connected", { token:, **ends }, "HTTP_HX_REQUEST" => "true")
    made = cable("scada-01", "acc-05")
    assert_equal [%w[eth1 1], "copper", "1G"], [made.ends.map { |one| one.facts["port"] }, *made.facts.values_at("medium", "speed")]
    logical = sheet_of(@project, "Greyholm plant network")
    page = get("/projects/#{@project.id}/sheets/#{logical.id}").body
    refute_match made.id, Nokogiri::HTML5(page).at_css("#layer-lines").to_s
  end

  # @return [String] where the rows can be looked at
  def brought(name, text)
    file = Tempfile.new([name, ".csv"]).tap { |made| made.write(text) && made.flush }
    post("#{base.delete_suffix("/cabling")}/intakes", { token:, file: Rack::Test::UploadedFile.new(file.path, "text/csv") })
    URI(last_response["Location"]).path
  end

  def take(path, headings)
    columns = headings.each_with_index.to_h { |field, index| ["column_#{field.tr(" ", "_")}", index] }
    post("#{path}/take", { token:, sheet_name: "Brought in", subject: "cables", **columns })
    Store::Task.order(:created_at).last.work
  end

  def test_an_inventory_of_cables_is_looked_at_and_taken
    path = brought("cables", "Device A,Port A,Device B,Port B,Type\nacc-01,9,acc-02,9,UTP\nacc-01,10,nobody,1,UTP\n")
    page = Nokogiri::HTML5(get(path).body)
    assert_equal "cables", page.at_css("main p strong").text
    assert_match "acc-01 9 to acc-02 9, copper", page.text
    assert_match "there is no thing called “nobody”: bring in the things first", page.text
    assert_match "stands so already", get("#{path}?subject=ports").body
    refused_page = get("#{path}?subject=rumours")
    assert_equal 422, refused_page.status
    take(path, ["from", "from port", "to", "to port", "medium"])
    assert_equal "copper", cable("acc-01", "acc-02")["medium"]
    assert_match "1 row taken, 1 rejected", Nokogiri::HTML5(get(path).body).text.squeeze(" ")
    sheet = set.sheet_list.find { |one| one.name == "Brought in" }
    assert_equal ["physical network", %w[acc-01 acc-02]], [sheet.notation_name, set.things_on(sheet.id).map(&:name).sort]
  end

  def test_the_ports_of_a_unit_are_drawn_once_and_those_of_two_beside_each_other
    post("#{base}/units/#{unit("core-01").id}/drawn", { token: })
    first = last_response["Location"]
    post("#{base}/units/#{unit("core-01").id}/drawn", { token: })
    assert_equal first, last_response["Location"]
    assert_match "member 2: 25 of 32 ports free", get(URI(first).path).body
    post("#{base}/units/#{unit("core-01").id}/drawn", { token:, beside: unit("core-02").id })
    assert_equal 2, Nokogiri::HTML5(get(URI(last_response["Location"]).path).body).css("#layer-things > g.k-device").length
    post("#{base}/units/#{unit("core-01").id}/drawn", { token:, beside: set.of_kind("subnet").first.id })
    assert_equal 422, last_response.status
  end

  def test_the_other_level_is_begun_and_taken_back_with_one_undo
    sheet = set.sheet_list.find { |one| one.name == "Greyholm plant network" }
    post("/projects/#{@project.id}/sheets/#{sheet.id}/other-level", { token: })
    path = URI(last_response["Location"]).path
    assert_match "Greyholm plant network: cabling", get(path).body
    assert_equal true, cable("edge-01", "core-01")["planned"]
    post("#{path}/undo", { token: }, "HTTP_HX_REQUEST" => "true")
    assert_nil cable("edge-01", "core-01")
    assert_empty set.things_on(path[/[^\/]+\z/])
    brief = set.sheet_list.find { |one| one.notation_name == "entities" }
    post("/projects/#{@project.id}/sheets/#{brief.id}/other-level", { token: })
    assert_equal 422, last_response.status
  end

  def test_a_unit_tells_what_it_is_on_both_levels
    sheet = set.sheet_list.find { |one| one.name == "Greyholm plant network" }
    page = Nokogiri::HTML5(get("/projects/#{@project.id}/sheets/#{sheet.id}/facts/#{unit("scada-01").id}").body)
    text = page.text.squeeze(" \n")
    assert_match "Plant, 10.20.4.10", text
    assert_match(/to pp-01/, text)
  end
end
