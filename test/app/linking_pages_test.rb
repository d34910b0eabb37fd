# frozen_string_literal: true

require_relative "../support/request_helper"
require "zip"
require "combine_pdf"

# Links through the pages: one by one, by name, told at the things, followed in files of a set, and refused where they cannot be.
class LinkingPagesTest < Minitest::Test
  include RequestHelper

  TEXT = <<~TEXT
    project Hall
    room Hall
    sheet Overview: rack
    rack R1 in Hall, 42U
    rack R2 in Hall, 42U
    rack R3 in Hall, 42U
    rack R4 in Hall, 42U
    sheet R1 elevation: rack
    sheet r-02 Elevation: rack
    sheet R3 elevation: rack
    sheet R-3 elevation: rack
  TEXT

  def setup
    super
    @project = project(TEXT)
    @sheet = sheet_of(@project, "Overview")
    @path = "/projects/#{@project.id}/sheets/#{@sheet.id}"
    @links = "/projects/#{@project.id}/links"
  end

  def set = model_of(@project)
  def id(name) = set.named(name).first.id
  def opened(name) = set.openings(id(name)).map { |opening| [opening.sheet.name, opening.title] }
  def document = Nokogiri::HTML5(last_response.body)
  WANTED = { noun: "rack", without: "elevation", title: "rack elevation" }.freeze

  def test_what_would_be_linked_is_told_taken_in_one_act_and_undone_in_one
    get @links, WANTED
    heads = document.css("#preview h2").map { |head| head.text.split.join(" ") }
    assert_equal ["Matched 2", "Several would do 1", "Things without a sheet 1", "Sheets that none of these opens into 1"], heads
    chosen = document.at_css("input[name='chosen_pairs[]']")["value"]
    post "#{@links}?#{URI.encode_www_form(WANTED)}", { token:, "chosen_pairs[]" => chosen }
    assert last_response.redirect?
    assert_equal([["R1 elevation", "rack elevation"]], opened("R1"))
    assert_equal ["R3 elevation"], opened("R3").map(&:first)
    get "#{@links}/preview", WANTED
    assert_equal "Matched 0", document.at_css("h2").text.split.join(" ")
    refute document.at_css("fieldset"), "what was chosen is not asked again"
    post "#{@links}?#{URI.encode_www_form(WANTED)}", { token: }
    assert_equal 422, last_response.status
    assert_match "There is nothing to link", last_response.body
    post "/projects/#{@project.id}/undo", { token: }
    assert_equal [[], []], [opened("R1"), opened("R3")]
  end

  def test_what_has_no_sheet_gets_one_and_opens_into_it
    post "#{@links}/made?noun=rack", { token:, "make[]" => id("R4") }
    assert_equal [["R4 elevation", "R4 elevation"]], opened("R4")
    assert_equal %w[R4], set.things_on(sheet_of(@project, "R4 elevation").id).map(&:name)
    post "#{@links}/made", { token: }
    assert_match "Choose things whose sheets are to be made", last_response.body
    get @links, by: "colour"
    assert_match "nothing here has “colour” to compare", last_response.body
    get @links, to: "smells"
    assert_match "not by “smells”", last_response.body
  end

  def test_one_thing_is_linked_called_and_unlinked_and_a_lost_sheet_is_told
    openings = "openings/#{id("R1")}"
    send_act(openings, sheet: "R1 elevation", selected: id("R1"))
    assert_match "R1 elevation", last_response.body[/id="openings".*/m]
    send_act("openings/links/#{set.links_of(id("R1")).first.id}/title", title: "front and rear")
    assert_equal([["R1 elevation", "front and rear"]], opened("R1"))
    send_act(openings, sheet: "nowhere")
    assert_equal 422, last_response.status
    assert_match "There is no sheet “nowhere”", last_response.body
    group = Nokogiri::HTML5(get(@path).body).at_css("g[data-name='R1']")
    assert group.at_css(".p-opens"), "steps lead down from it"
    lower = sheet_of(@project, "R1 elevation")
    page = Nokogiri::HTML5(get("/projects/#{@project.id}/sheets/#{lower.id}").body)
    assert_equal ["Overview"], page.css("#way a").map(&:text)
    post "/projects/#{@project.id}/sheets/#{lower.id}/taken-away", { token: }
    assert_match "“R1 elevation” is not there any more", get("#{@path}/facts/#{id("R1")}").body
    send_act("openings/links/#{set.links_of(id("R1")).first.id}/taken-away")
    assert_empty set.links_of(id("R1"))
    send_act("openings/links/#{SecureRandom.uuid}/taken-away")
    assert_equal 409, last_response.status
  end

  def test_files_of_a_set_keep_the_links_between_its_sheets
    send_act("openings/#{id("R1")}", sheet: "R1 elevation")
    post "/projects/#{@project.id}/set", { token:, type: "tar" }
    assert_equal 422, last_response.status
    file = lambda { |type|
      post "/projects/#{@project.id}/set", { token:, type: }
      task = Store::Task.order(:created_at).last
      task.work unless task.reload.finished?
      get "/projects/#{@project.id}/tasks/#{task.id}/file"
      last_response.body
    }
    names = {}
    Zip::File.open_buffer(StringIO.new(file.("zip"))) { |zip| zip.each { |entry| names[entry.name] = entry.get_input_stream.read } }
    overview = names.find { |name, _| name.include?("Overview") }.last
    leads = Nokogiri::XML(overview).remove_namespaces!.css("a").map { |link| link["href"] }
    assert_equal(names.keys.grep(/R1-elevation/), leads)
    pages = CombinePDF.parse(file.("pdf")).pages
    assert_equal set.sheet_list.length, pages.length
    targets = pages.flat_map { |one| Array(one[:Annots]) }.map { |one| (one[:referenced_object] || one)[:A] }
    assert_equal([:GoTo], targets.map { |one| one[:S] })
    assert_same pages[1], targets.first[:D].first[:referenced_object]
  end

  def test_the_command_links_a_file_and_tells_what_it_did
    Dir.mktmpdir do |folder|
      path = File.join(folder, "hall.basalt")
      File.write(path, TEXT)
      run = lambda { |*words|
        out = StringIO.new
        err = StringIO.new
        [CommandLine::Main.run(["link", path, *words], out:, err:), out.string, err.string]
      }
      status, told, = run.("--by", "name", "--to", "titles", "--kind", "rack", "--without", "elevation", "--dry-run")
      assert_equal 0, status
      assert_includes told, "R1 -> R1 elevation"
      assert_includes told, "R3 could open into R3 elevation, R-3 elevation: not linked"
      assert_includes told, "R4 has no sheet"
      assert_equal TEXT, File.read(path), "it was only told"
      run.("--by", "name", "--to", "titles", "--kind", "rack", "--without", "elevation", "--title", "rack elevation")
      assert_includes File.read(path), "R2 opens into r-02 Elevation, as rack elevation"
      again = File.read(path)
      assert_match "0 linked, 2 stand already", run.("--kind", "rack", "--without", "elevation")[1]
      assert_equal again, File.read(path)
      assert_equal [2, "#{path} has no sheet “Nowhere”\n"], run.("--of", "Nowhere").values_at(0, 2)
    end
  end
end
