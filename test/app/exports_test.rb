# frozen_string_literal: true

require_relative "../support/request_helper"

# Every sheet as a file: whole, in its own typefaces, on the ground that was asked for, and telling what it is.
class ExportsTest < Minitest::Test
  include RequestHelper

  HOSTILE = "R&D <b>\"plan\"</b> 部品 é".freeze

  def sheets = model_of(@project).sheet_list
  def export(sheet, type, **given) = get("/projects/#{@project.id}/sheets/#{sheet.id}/export.#{type}", given)
  def body = last_response.body
  def png_size(bytes) = bytes[16, 8].unpack("N2")
  def document(text) = Nokogiri.XML(text, &:strict)
  def pages = CombinePDF.parse(body).pages
  def millimetres(page) = page[:MediaBox].last(2).map { |points| (points * 25.4 / 72).round }

  def test_every_sheet_is_an_svg_that_needs_nothing_else
    sheets.each do |sheet|
      export(sheet, "svg")
      drawn = document(body)
      assert_equal "image/svg+xml", last_response.media_type, sheet.name
      assert_equal sheet.name, drawn.at_css("title").text
      refute_empty drawn.at_css("desc").text, sheet.name
      addresses = drawn.xpath("//@href | //@*[local-name()='href']").map(&:value) + body.scan(/url\(([^)]*)\)/).flatten
      assert(
        addresses.all? { |address| address.start_with?("data:", "#", "\"data:") },
        "#{sheet.name}: #{addresses.grep_v(/\Adata:/).first(2)}"
      )
      assert_includes body, "@font-face", sheet.name
      assert_empty drawn.xpath("//*[local-name()='script'] | //@*[starts-with(local-name(), 'on')]"), sheet.name
    end
  end

  def test_the_reading_goes_with_the_picture
    sheet = sheet_of(@project, "Work orders")
    export(sheet, "svg")
    told = document(body).at_css("desc").text
    Basalt::Statements::Unparser.new(model_of(@project)).sheet(sheet.id).each { |sentence| assert_includes told, sentence }
  end

  def test_pictures_have_the_proportions_of_the_drawing_and_two_pixels_to_one
    sheets
      .first(4)
      .each do |sheet|
        export(sheet, "svg")
        w, h = %w[width height].map { |side| document(body).root[side].to_f }
        export(sheet, "png")
        assert_equal "\x89PNG".b, body.b[0, 4]
        png_size(body.b).zip([w, h]).each { |pixels, px| assert_in_delta px * 2, pixels, 2, sheet.name }
        export(sheet, "jpg")
        assert_equal "\xFF\xD8\xFF".b, body.b[0, 3], sheet.name
      end
  end

  def test_on_white_nothing_has_the_colour_of_the_paper
    sheet = sheets.first
    paper = Basalt::Drawing::Pens::PAPER
    export(sheet, "svg", ground: "paper")
    assert_includes body, paper
    export(sheet, "svg", ground: "white")
    refute_includes body, paper
    { "paper" => [247, 244, 236], "white" => [255, 255, 255] }.each do |ground, colour|
      export(sheet, "png", ground:)
      corner = Vips::Image.new_from_buffer(body.b, "").getpoint(2, 2).first(3)
      corner.zip(colour).each { |is, wanted| assert_in_delta wanted, is, 2, ground }
    end
    export(sheet, "svg", ground: "plaid")
    assert_includes body, paper
  end

  def test_a_pdf_is_of_its_paper_and_tells_title_author_and_subject
    sheet = sheets.first
    { %w[A4 portrait] => [210, 297], %w[A3 landscape] => [420, 297], %w[A1 portrait] => [594, 841] }.each do |(paper, orientation), size|
      export(sheet, "pdf", paper:, orientation:)
      assert_equal [size], pages.map { |page| millimetres(page) }, paper
    end
    info = CombinePDF.parse(body).info
    assert_equal "#{sheet.number} #{sheet.name}", info[:Title]
    assert_includes info[:Subject].to_s, sheet.notation_name
    refute_empty info[:Author].to_s
  end

  def test_tiles_are_as_many_as_the_drawing_takes_at_its_true_size
    sheets
      .first(5)
      .each do |sheet|
        export(sheet, "svg")
        w, h = %w[width height].map { |side| document(body).root[side].to_f }
        paper = Drawings::Paper.new(size: "A4", spread: "tiles")
        across, down = [paper.inner_width, paper.inner_height].map { |mm| mm * Drawings::Paper::PER_MM }
        tiles = Drawings::Print.tiles(0, 0, w, h, paper)
        assert_covers(tiles, w, h, across, down, sheet.name)
        export(sheet, "pdf", paper: "A4", spread: "tiles")
        assert_equal tiles.length, pages.length, sheet.name
      end
  end

  # Side by side with a little of the next, to the last edge and not a sheet more.
  def assert_covers(tiles, w, h, across, down, message)
    assert_operator tiles.map { |tile| tile.x + across }.max, :>=, w, message
    assert_operator tiles.map { |tile| tile.y + down }.max, :>=, h, message
    assert(tiles.all? { |tile| tile.x < w && tile.y < h }, message)
    rows = tiles.group_by(&:y).values
    rows.each do |row|
      row.each_cons(2) { |one, other| assert_in_delta Drawings::Print::OVERLAP, one.x + across - other.x, 0.01, message }
    end
  end

  def test_names_that_people_give_are_words_everywhere
    project =
      project(
        "project P\nsheet #{Basalt::Statements::Quoting.quote(HOSTILE)}: logical network\nserver #{Basalt::Statements::Quoting.quote(HOSTILE)}"
      )
    sheet = model_of(project).sheet_list.first
    address = "/projects/#{project.id}/sheets/#{sheet.id}/export"
    get "#{address}.svg"
    assert_equal HOSTILE, document(body).at_css("title").text
    assert_empty document(body).xpath("//*[local-name()='b']")
    get "#{address}.pdf"
    title = CombinePDF.parse(body).info[:Title].b
    assert_equal "#{sheet.number} #{HOSTILE}",
                 title.start_with?("\xFE\xFF".b) ? title[2..].force_encoding("UTF-16BE").encode("UTF-8") : title.force_encoding("UTF-8")
    %w[svg png jpg pdf].each do |type|
      get "#{address}.#{type}"
      assert_equal 200, last_response.status, type
      assert_match(%r{\Aattachment; filename="[^"/\\]+\.#{type}"}, last_response.headers["content-disposition"].to_s, type)
    end
  end

  def test_what_cannot_be_is_refused_in_words
    sheet = sheets.first
    {
      { paper: "A9" } => /A4, A3/,
      { orientation: "upside" } => /landscape or portrait/,
      { spread: "roll" } => /tiles/
    }.each do |given, words|
      export(sheet, "pdf", **given)
      assert_equal 422, last_response.status
      assert_match words, body
    end
    export(sheet, "svg", chosen: SecureRandom.uuid)
    assert_equal 422, last_response.status
    assert_match(/role="alert">[^<]+/, body)
  end

  def test_an_empty_sheet_is_a_file_too
    project = project("project P\nsheet Empty: entities")
    %w[svg png pdf].each do |type|
      get "/projects/#{project.id}/sheets/#{model_of(project).sheet_list.first.id}/export.#{type}"
      assert_equal 200, last_response.status, type
    end
  end

  # As many things as make a sheet large.
  def large_sheet
    project =
      project("sheet S: logical network\n#{Array.new(Web::ExportWork::LARGE + 1) { |n| "server s-#{n}" }.join("\n")}", name: "Large")
    ["/projects/#{project.id}", "/projects/#{project.id}/sheets/#{model_of(project).sheet_list.first.id}"]
  end

  def test_the_file_of_a_large_sheet_is_made_in_the_queue_and_kept_for_a_day
    project, sheet = large_sheet
    get "#{sheet}/export.svg"
    assert last_response.redirect?
    follow_redirect!
    assert_includes last_response.body, "SVG of S"
    assert_includes last_response.body, "is ready"
    task = Store::Task.last
    get "#{project}/tasks/#{task.id}/file"
    assert_equal ["image/svg+xml", 200], [last_response.content_type, last_response.status]
    assert_includes last_response.body, "s-#{Web::ExportWork::LARGE}"
    task.update_columns(created_at: Time.now.utc - Store::Task::KEPT - 60)
    get "#{sheet}/export.svg"
    get "#{project}/tasks/#{task.id}"
    assert_includes last_response.body, "was kept for a day and is gone"
    get "#{project}/tasks/#{task.id}/file"
    assert_equal 404, last_response.status
    task.update_columns(created_at: Time.now.utc - Store::Task::TOLD - 60)
    get "#{sheet}/export.svg"
    refute Store::Task.exists?(task.id)
  end
end
