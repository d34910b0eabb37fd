# frozen_string_literal: true

require_relative "../support/request_helper"

# What the pages answer when all is well.
class PagesTest < Minitest::Test
  include RequestHelper

  def act(rest, values = {})
    send_act(rest, values)
    assert_equal 200, last_response.status, last_response.body[0, 400]
    Nokogiri::HTML5.fragment(last_response.body)
  end

  def id_of(name) = model_of(@project).named(name).first.id
  def groups(answer) = answer.css("g[data-layer] > g").map { |group| group["data-element"] }.compact.uniq

  def test_an_answer_holds_only_the_pieces_that_may_be_different
    answer = act("statements", statements: "server sampler")
    assert_equal [id_of("sampler")], groups(answer)
    assert_equal(["device"], answer.css("table[data-kind]").map { |table| table["data-kind"] })
    answer = act("statements", statements: "sampler on Plant at .99")
    assert_includes groups(answer), id_of("sampler")
    assert_operator groups(answer).length, :<, 6
  end

  def test_pieces_and_a_fresh_page_agree
    [
      "sampler on Plant at .31",
      "rename historian to archive",
      "take label-01 off",
      "remove plc-07",
      "subnet Extra 10.20.9.0/24",
      "desk-03 on Extra at .4"
    ].each do |line|
      act("statements", statements: line.start_with?("sampler") ? "server sampler\n#{line}" : line)
      answer = Nokogiri::HTML5.fragment(last_response.body)
      get "#{@path}/findings"
      later = Nokogiri::HTML5.fragment(last_response.body)
      get @path
      page = Nokogiri.HTML5(last_response.body)
      groups = [answer, later].flat_map { |part| part.css("g[data-layer] > g").to_a }.to_h { |group| [group["id"], group.to_html] }
      groups.each { |id, html| assert_equal html, page.at_css("#drawing ##{id}").to_html, line }
      answer.at_css("[data-gone]")["data-gone"].split.each { |id| assert_nil page.at_css("##{id}"), line }
    end
  end

  def test_facts_are_set_cleared_and_assumed
    act("facts/#{id_of("fw-01")}", fact: "note", value: "behind the door")
    act("facts/#{id_of("fw-01")}", fact: "assumed", value: "yes")
    act("facts/#{id_of("fw-01")}", fact: "container", value: "Control Room")
    element = model_of(@project).named("fw-01").first
    assert_equal ["behind the door", true, "Control Room"],
                 [element["note"], element.assumed, model_of(@project).element(element.container_id).name]
    act("facts/#{id_of("fw-01")}", fact: "note", value: "")
    act("facts/#{id_of("fw-01")}", fact: "container", value: "")
    element = model_of(@project).named("fw-01").first
    assert_equal [nil, nil], [element["note"], element.container_id]
  end

  def test_things_are_pinned_taken_off_and_deleted
    act("pinned", chosen: id_of("fw-01"), pinned: "yes")
    assert model_of(@project).placement(@sheet.id, id_of("fw-01")).pinned
    before = model_of(@project).placement(@sheet.id, id_of("fw-01")).box
    act("moves", moves: JSON.generate([[id_of("fw-01"), 30, 40]]))
    act("tidy")
    after = model_of(@project).placement(@sheet.id, id_of("fw-01")).box
    assert_equal [before.x + 30, before.y + 40], [after.x, after.y]
    act("taken-off", chosen: id_of("pe-01"))
    refute model_of(@project).shown?(@sheet.id, id_of("pe-01"))
    id = id_of("historian")
    assert_match "Greyholm cabling", act("removed", chosen: id).to_html
    act("removed", chosen: id, sure: "yes")
    assert_empty model_of(@project).named("historian")
  end

  def test_several_things_move_in_one_act
    ids = %w[scada-01 plc-07].map { |name| id_of(name) }
    act("moves", moves: JSON.generate(ids.map { |id| [id, 5, 200] }))
    assert_equal "moved 2 things", Store::JournalEntry.order(:number).last.said
  end

  def test_the_title_block_is_altered_and_names_stay_unique
    act("title", revision: "D", status: "issued")
    assert_equal %w[D issued], sheet_of(@project, PLANT).to_h.values_at(:revision, :status)
    post "#{@path}/title", { name: "Work orders", token: }, "HTTP_HX_REQUEST" => "true"
    assert_equal 422, last_response.status
    assert_includes last_response.body, "there is a sheet called"
  end

  def test_the_statement_line_offers_and_foretells
    get "#{@path}/complete", statements: "historian on Pl"
    assert_includes last_response.body, 'data-words="Plant"'
    {
      "historian on Plant at .77" => "10.20.4.77 is free",
      "server x\nx on Plant at .10" => "is used twice",
      "historian on Plant at .20" => "stands so already",
      "wombat" => "not understood"
    }.each do |text, hint|
      get "#{@path}/complete", statements: text
      assert_includes last_response.body, hint, text
    end
  end

  def test_every_table_of_every_sheet_opens
    model_of(@project).sheet_list.each do |sheet|
      path = "/projects/#{@project.id}/sheets/#{sheet.id}"
      kinds = Basalt::Drawing::SheetStatistics.new(model_of(@project), sheet.id).counts
      kinds.each do |kind, count|
        get "#{path}/register/#{kind.gsub(" ", "%20")}"
        table = Nokogiri::HTML5.fragment(last_response.body)
        assert_equal count, table.css("tbody tr:not(.new)").length, "#{sheet.name} #{kind}"
        table.css("tbody tr:not(.new)").each { |row| assert_equal table.css("th").length, row.css("td").length, "#{sheet.name} #{kind}" }
      end
    end
  end

  def test_a_subnet_counts_its_addresses
    get "#{@path}/facts/#{id_of("Plant")}"
    facts =
      Nokogiri::HTML5
        .fragment(last_response.body)
        .css(".fact")
        .to_h { |fact| fact.css("span, label").map(&:text).first(2).then { |label, value| [label, value] } }
    assert_equal ["4", "250", ".2", ".1 fw-01"], facts.values_at("used", "free", "next free", "gateway")
  end

  def test_undo_on_a_sheet_leaves_other_sheets_alone
    act("statements", statements: "server one")
    other = "/projects/#{@project.id}/sheets/#{sheet_of(@project, "Work orders").id}"
    post "#{other}/statements", { statements: "entity Shift", token: }, "HTTP_HX_REQUEST" => "true"
    act("undo")
    assert_empty model_of(@project).named("one")
    refute_empty model_of(@project).named("Shift")
  end

  def test_findings_of_a_large_project_follow_in_a_second_answer
    large = project(GeneratedNetwork.new(2, subnets: 8, things: 45).text, name: "Large")
    path = "/projects/#{large.id}/sheets/#{sheet_of(large, "Net").id}"
    post "#{path}/statements", { statements: "server fresh\nfresh on net-1", token: }, "HTTP_HX_REQUEST" => "true"
    assert_includes last_response.body, "#{path}/findings"
    refute_includes last_response.body, "fresh has no address"
    get "#{path}/findings"
    assert_includes last_response.body, "fresh has no address"
  end

  def test_long_tables_come_page_by_page
    large = project("sheet S: logical network\n#{Array.new(230) { |n| "server s-#{n}" }.join("\n")}", name: "Long")
    path = "/projects/#{large.id}/sheets/#{sheet_of(large, "S").id}"
    get "#{path}/register/device"
    assert_equal 201, Nokogiri::HTML5.fragment(last_response.body).css("tbody tr:not(.new)").length
    get "#{path}/register/device?from=200"
    assert_includes last_response.body, "s-229"
  end

  def test_the_page_of_keys_tells_all_of_them
    text = File.read(File.join(APPLICATION_ROOT, "docs/keys.md"))
    Web::KeyList::ALL.each { |key, words| assert_includes text, "| #{key} | #{words} |" }
  end

  def test_files_of_a_sheet_and_of_a_part_of_it
    { "svg" => "<?xml", "png" => "\x89PNG".b, "jpg" => "\xFF\xD8".b, "pdf" => "%PDF" }.each do |type, head|
      get "#{@path}/export.#{type}"
      assert_equal head, last_response.body.b[0, head.bytesize], type
    end
    get "#{@path}/export.svg", chosen: [id_of("plc-07"), id_of("Plant")].join(" ")
    part = last_response.body
    assert_match(/>plc-07</, part)
    assert_match(/>\.31</, part)
    refute_match(/>historian<|id="frame"/, part)
    get "#{@path}/export.pdf", paper: "A4", spread: "tiles"
    assert_match %r{/Count [2-9]}n, last_response.body.b
    get "#{@path}/export.pdf", paper: "A9"
    assert_equal 422, last_response.status
  end

  def test_an_image_is_made_safe
    hostile =
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" onload="x()"><script>x()</script><a href="javascript:x()"><path d="M0 ' \
      '0" fill="url(http://e)"/></a>' \
      '<use href="http://e/#a"/><rect width="3" height="3" style="x" fill="red"/></svg>'
    safe = Drawings::SafeImage.new(hostile)
    assert_equal ["image/svg+xml", 9.0], [safe.type, safe.width]
    refute_match(%r{script|onload|http://e|javascript|style}, safe.content)
    assert_match(%r{<rect width="3" height="3" fill="red"/>}, safe.content)
    bomb = '<!DOCTYPE svg [<!ENTITY a "b">]><svg viewBox="0 0 1 1">&a;</svg>'
    [
      bomb,
      "<svg",
      "not an image",
      "<svg><g/></svg>",
      "\x89PNGbroken",
      "<svg viewBox='0 0 1 1'>#{"<g>" * 200}#{"</g>" * 200}</svg>"
    ].each { |bytes| assert_raises(Drawings::SafeImage::Unfit, bytes[0, 30]) { Drawings::SafeImage.new(bytes) } }
  end
end
