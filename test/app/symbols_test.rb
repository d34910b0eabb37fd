# frozen_string_literal: true

require_relative "../support/request_helper"
require "vips"
require "zip"

# Symbols of a person's own: a zip brought in, given to a thing and to all of a kind.
class SymbolsTest < Minitest::Test
  include RequestHelper

  SVG =
    "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 24 24\"><script>alert(1)</script><path d=\"M2 2H22V22Z\" " \
    "onclick=\"x()\"/></svg>"
  PNG = Vips::Image.black(8, 8).pngsave_buffer

  def zip(files)
    Zip::OutputStream
      .write_buffer do |out|
        files.each do |name, content|
          out.put_next_entry(name)
          out.write(content)
        end
      end
      .string
  end

  def bring(content, name = "set.zip")
    send_act("symbols", file: Rack::Test::UploadedFile.new(StringIO.new(content), "application/zip", original_filename: name))
  end

  def symbols = model_of(@project).of_kind("symbol").to_h { |symbol| [symbol.name, symbol] }
  def drawn(name) = get("#{@path}/export.svg").body[%r{<title>[a-z ]+ #{name}</title>.*?</g>}m]

  def test_a_set_is_brought_in_and_what_cannot_be_taken_is_told
    bring(
      zip(
        "icons/Pump_house.svg" => SVG,
        "valve.png" => PNG,
        "readme.txt" => "hello",
        "bad.svg" => "<svg><g>",
        "__MACOSX/valve.png" => "x",
        ".hidden.svg" => SVG,
        "again/valve.svg" => SVG
      )
    )
    assert_equal 200, last_response.status
    assert_equal ["Pump house", "valve"], symbols.keys.sort
    ["readme", "neither PNG nor SVG", "bad", "not well formed", "two of this name"].each do |words|
      assert_match words, last_response.body
    end
    get "/projects/#{@project.id}/images/#{symbols["Pump house"]["image"]}"
    refute_match(/script|onclick/, last_response.body)
    assert_match "M2 2H22V22Z", last_response.body
  end

  def test_a_thing_and_every_thing_of_a_word_are_drawn_with_it_and_undo_takes_it_back
    bring(zip("pump.svg" => SVG, "valve.svg" => SVG))
    historian, fire = %w[historian fw-01].map { |name| model_of(@project).named(name).first }
    assert_match "p-glyph", drawn("historian")
    send_act("symbol/#{historian.id}", symbol: symbols["pump"].id)
    assert_match "t#{model_of(@project).placement(@sheet.id, historian.id).id}", last_response.body
    assert_match(/<image|<use/, drawn("historian"))
    assert_match "p-glyph", drawn("fw-01")
    send_act("symbol/#{fire.id}", symbol: symbols["valve"].id, every: "yes")
    assert_match(/<image|<use/, drawn("fw-01"))
    assert_match "historian is drawn as pump", get("#{@path}/reading").body + Basalt::Statements::Unparser.new(model_of(@project)).project
    2.times { send_act("undo") }
    assert_match "p-glyph", drawn("historian")
    assert_match "p-glyph", drawn("fw-01")
  end

  def test_what_is_no_set_is_refused_and_changes_nothing
    before = rows(model_of(@project))
    {
      "hello" => /not a zip file/,
      zip({}) => /zip is empty/,
      zip("a.txt" => "x") => /No symbol could be taken/,
      zip((1..501).to_h { |n| ["s#{n}.svg", SVG] }) => /at most/,
      zip("huge.svg" => "<svg>#{" " * 6_000_000}</svg>") => /larger than 5 MB/
    }.each do |content, message|
      bring(content)
      assert_equal 422, last_response.status
      assert_match message, last_response.body
    end
    send_act("symbol/#{model_of(@project).named("historian").first.id}", symbol: model_of(@project).named("fw-01").first.id)
    assert_match(/fw-01 is no symbol/, last_response.body)
    assert_equal before, rows(model_of(@project))
  end

  def test_the_same_name_brought_again_gets_the_new_image
    bring(zip("pump.svg" => SVG))
    first = symbols["pump"]
    bring(zip("pump.svg" => SVG.sub("M2 2", "M4 4")))
    assert_equal [first.id], symbols.values.map(&:id)
    refute_equal first["image"], symbols["pump"]["image"]
  end
end
