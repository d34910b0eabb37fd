# frozen_string_literal: true

require_relative "../support/core_helper"
require_relative "../support/generated_cabling"
require_relative "../support/generated_entities"
require_relative "../support/generated_levels"
require "nokogiri"

# What must hold of every sheet, in every way its notation can draw it.
class NotationsTest < Minitest::Test
  include CoreHelper

  SAMPLE = File.read(File.expand_path("../../demo/tarnwater.basalt", __dir__))
  NASTY = "<b onload=\"x()\">&amp; 'quoted' ]]> 部品 \u202E".freeze

  TABLES = <<~TEXT.freeze
    sheet Depots: tables
    table depots
    depots has depot_id integer
    view open_depots query "SELECT depot_id FROM depots WHERE opened IS NOT NULL"
  TEXT

  TEXTS =
    (
      [["sample", SAMPLE], ["a view", TABLES]] + Array.new(3) { |seed| ["entities #{seed}", GeneratedEntities.new(seed).text] } +
        Array.new(2) { |seed| ["network #{seed}", GeneratedNetwork.new(seed, subnets: 3, things: 5).text] } +
        Array.new(2) { |seed| ["wiring #{seed}", GeneratedCabling.new(seed, switches: 4, servers: 6).text] }
    ).freeze

  WAYS = {}
  # Sheets of the sample and generated ones, in each way; laid out once for all tests, which only look at them.
  def each_way =
    (WAYS[:all] ||= TEXTS.flat_map { |name, text| ways(name, model(text, tidy: true)) }).each do |set, sheet_id, message|
      yield Drawing::AsDrawn.of(set, sheet_id), sheet_id, message
    end

  def ways(name, set)
    set.sheet_list.flat_map do |sheet|
      [
        [set, sheet.id, "#{name}, #{sheet.name}"],
        *sheet.notation.variants.keys.map { |variant| [varied(set, sheet, variant), sheet.id, "#{name}, #{sheet.name}, #{variant}"] }
      ]
    end
  end

  def varied(set, sheet, variant)
    draft = Change::Draft.new(set).apply(Change::SetVariant.new(sheet_id: sheet.id, variant:))
    Drawing::Arranger.new(draft, sheet.id).tidy
    draft
  end

  def test_everything_shown_is_drawn_within_the_frame_and_the_document_is_well_formed
    each_way do |set, sheet_id, message|
      scene = Drawing::Scene.new(set, sheet_id)
      frame = Drawing::Furniture.frame(scene)
      drawn = scene.items.filter_map(&:element_id).to_set
      seen = set.things_on(sheet_id).reject { |thing| thing.description.figure.is_a?(Journeys::Unseen) }
      seen.each { |thing| assert_includes drawn, thing.id, "#{message}: #{thing.name}" }
      set
        .placements_on(sheet_id)
        .filter_map(&:box)
        .each { |box| assert box.x >= frame.x && box.right <= frame.right && box.y >= frame.y && box.bottom <= frame.bottom, message }
      letters = nil
      written = Drawing::SVG.document(scene, description: message) { |asked| (letters = asked) && "" }
      document = Nokogiri.XML(written, &:strict)
      assert_equal "svg", document.root.name, message
      assert_equal document.css("text").map(&:text).join.chars.uniq.sort, letters, message
      assert_empty document.xpath("//*[@id]").map { |node| node["id"] }.tally.select { |_, count| count > 1 }.keys, message
    end
  end

  def test_no_symbol_lies_on_another_and_no_line_runs_through_one
    each_way do |set, sheet_id, message|
      notation = set.sheets[sheet_id].notation
      things = set.things_on(sheet_id).reject { |thing| thing.description.figure&.outline? || Drawing::Nesting.new(set, sheet_id).boundary?(thing.id) }
      boxes = things.flat_map { |thing| notation.obstacles(set, thing, set.placement(sheet_id, thing.id)).map { |box| [thing.id, box] } }
      boxes.combination(2) do |(one, box), (other, second)|
        refute box.overlap?(second), "#{message}: #{set.element(one).name} on #{set.element(other).name}" unless one == other
      end
      notation
        .lines_on(set, sheet_id)
        .each do |line|
          route = set.placement(sheet_id, line.id)&.route or next
          runs = Layout::Polyline.boxes(route["points"])
          boxes.each do |id, box|
            unless line.endpoints.include?(id)
              refute runs.any? { |run| run.overlap?(box.grow(-1)) },
                     "#{message}: #{line.name || line.kind} through #{set.element(id).name}"
            end
          end
        end
    end
  end

  def test_every_line_is_level_or_upright_and_ends_where_the_notation_lets_it
    each_way do |set, sheet_id, message|
      notation = set.sheets[sheet_id].notation
      notation
        .lines_on(set, sheet_id)
        .each do |line|
          points = set.placement(sheet_id, line.id)&.route&.fetch("points") or next
          points.each_cons(2) { |one, other| assert one[0] == other[0] || one[1] == other[1], "#{message}: #{points}" }
          line
            .endpoints
            .values_at(0, -1)
            .zip(points.values_at(0, -1))
            .each do |id, (x, y)|
              box = set.placement(sheet_id, Drawing::Nesting.new(set, sheet_id).stand_in(id)).box
              # A port stands half outside what it belongs to.
              reach = set.elements[line.id].targets.any? { |end_id| set.elements[end_id]&.owner_id } ? 6 : 2
              assert box.grow(reach).overlap?(Layout::Box.new(x: x - 0.1, y: y - 0.1, w: 0.2, h: 0.2)),
                     "#{message}: a line to #{set.element(id).name} ends beside it"
            end
        end
    end
  end

  def test_the_legend_explains_each_mark_that_occurs_and_no_other
    each_way do |set, sheet_id, message|
      scene = Drawing::Scene.new(set, sheet_id)
      legend = scene.notation.legend
      marks =
        set
          .things_on(sheet_id)
          .concat(scene.notation.lines_on(set, sheet_id))
          .flat_map { |element| scene.notation.marks(set, element) }
          .to_set
      words = Drawing::Furniture.item(scene).shapes.select { |shape| shape[0] == :text }.map { |shape| shape[3] }
      legend.each { |said, _, _, mark| assert_equal marks.include?(mark), words.include?(said), "#{message}: #{said}" }
    end
  end

  def test_what_people_write_is_text_wherever_it_is_drawn
    kinds = {
      "logical network" => "server",
      "entities" => "entity",
      "tables" => "table",
      "context" => "process",
      "data flow" => "store",
      "requirements" => "requirement"
    }
    kinds.each do |notation, noun|
      nasty = Statements::Quoting.quote(NASTY)
      set =
        model("sheet A: #{notation}\n#{noun} #{nasty}\ncaption C says #{nasty}\ndivide D before #{nasty}, beyond #{nasty}", tidy: true)
      scene = Drawing::Scene.new(set, set.sheet_list.first.id)
      document = Nokogiri.XML(Drawing::SVG.document(scene, description: NASTY), &:strict)
      assert_empty document.xpath("//@onload | //*[local-name()='b']"), notation
      assert_equal NASTY, document.at_css("desc").text
    end
  end

  def test_a_dividing_line_that_is_tidied_by_itself_stays_on_every_notation
    Model::Catalogue.notations.each_key do |notation|
      set = model("sheet A: #{notation}\ndivide D before \"ours\"", tidy: true)
      sheet_id = set.sheet_list.first.id
      draft = Change::Draft.new(set)
      Drawing::Arranger.new(draft, sheet_id).tidy(only: [set.named("D").first.id])
      assert_empty draft.placements.differences.to_a, notation
    end
  end

  def test_lines_folded_into_one_are_drawn_once_with_their_number
    lines = ["switch a", "switch b", "switch c", "a to b twice", "a e1 to b e1", "b to c"]
    set = model("sheet A: logical network\n#{lines.join("\n")}", tidy: true)
    sheet_id = set.sheet_list.first.id
    plain = drawn_lines(set, sheet_id)
    draft = Change::Draft.new(set).apply(Change::SetView.new(sheet_id:, part: "parallels", on: true))
    folded = drawn_lines(draft, sheet_id)
    pairs = set.of_kind("link").map { |link| link.endpoints.sort }.tally
    assert_equal set.of_kind("link").length, plain.length
    assert_equal pairs.length, folded.length
    numbers = folded.flat_map { |item| item.shapes.select { |shape| shape[0] == :text }.map { |shape| shape[3] } }.grep(/lines/)
    assert_equal pairs.values.select { |count| count > 1 }.map { |count| "#{count} lines" }.sort, numbers.sort
    draft.apply(Change::SetView.new(sheet_id:, part: "parallels", on: false))
    assert_equal plain.map(&:id), drawn_lines(draft, sheet_id).map(&:id)
  end

  def drawn_lines(set, sheet_id) = Drawing::Scene.new(set, sheet_id).items.select { |item| item.layer == :labels }

  def test_a_diamond_stands_on_its_own_line
    6.times do |seed|
      set = model(GeneratedEntities.new(seed).text)
      sheet = set.sheet_list.first
      draft = varied(set, sheet, "diamonds")
      sheet_now = draft.sheets[sheet.id]
      sheet_now
        .notation
        .lines_on(draft, sheet.id)
        .select { |line| line.kind == "relationship" && line.endpoints.uniq.length > 1 }
        .each do |line|
          placed = draft.placement(sheet.id, line.id).route
          x, y = placed["labels"].fetch("middle")
          assert Layout::Polyline
            .boxes(placed["points"])
            .any? { |run| run.grow(1).overlap?(Layout::Box.new(x: x - 0.5, y: y - 0.5, w: 1, h: 1)) },
                 "#{seed}: #{line.name}"
        end
    end
  end

  def test_a_sheet_in_two_ways_keeps_both_layouts
    set = model(SAMPLE, tidy: true)
    set
      .sheet_list
      .reject { |sheet| sheet.notation.variants.empty? }
      .each do |sheet|
        before = boxes(set, sheet.id)
        draft = varied(set, sheet, sheet.notation.variants.keys.first)
        other = boxes(draft, sheet.id)
        draft.apply(Change::SetVariant.new(sheet_id: sheet.id, variant: nil))
        assert_equal before, boxes(draft, sheet.id), sheet.name
        draft.apply(Change::SetVariant.new(sheet_id: sheet.id, variant: sheet.notation.variants.keys.first))
        assert_equal other, boxes(draft, sheet.id), sheet.name
      end
  end

  def boxes(set, sheet_id) = set.placements_on(sheet_id).select(&:box).to_h { |placed| [placed.element_id, placed.box] }

  def test_an_excerpt_holds_what_was_asked_for_and_the_lines_among_it
    set = model(SAMPLE, tidy: true)
    random = Random.new(5)
    set.sheet_list.each do |sheet|
      ids = set.things_on(sheet.id).map(&:id).sample(3, random:)
      excerpt = Drawing::Excerpt.new(scene = Drawing::Scene.new(set, sheet.id), ids)
      shown = excerpt.items.map(&:element_id).to_set
      assert_operator ids.to_set, :<=, shown, sheet.name
      (shown - ids).each { |id| assert(scene.set.element(id).targets.all? { |target| ids.include?(target) }, sheet.name) }
      excerpt.items.each { |item| assert_includes scene.items.map(&:id), item.id }
    end
    assert_raises(Mistake) { Drawing::Excerpt.new(Drawing::Scene.new(set, set.sheet_list.first.id), ["nowhere"]) }
  end

  def test_an_own_symbol_takes_the_place_of_the_glyph_where_it_is_meant
    set =
      model(
        "sheet A: logical network\nserver a\nserver b\nrouter c\nsymbol Drum image i1, stands for server\nsymbol Fan image i2\nc is " \
        "drawn as Fan",
        tidy: true
      )
    sheet_id = set.sheet_list.first.id
    images =
      Drawing::Scene
        .new(set, sheet_id, images: ->(id) { "/images/#{id}" })
        .items
        .select { |item| item.layer == :things }
        .to_h { |item| [set.element(item.element_id).name, item.shapes.select { |shape| shape[0] == :image }.map { |shape| shape[1] }] }
    assert_equal({ "a" => ["/images/i1"], "b" => ["/images/i1"], "c" => ["/images/i2"] }, images)
    scene = Drawing::Scene.new(set, sheet_id, images: ->(id) { "/images/#{id}" })
    assert_equal 1, Drawing::SVG.document(scene, description: "").scan(%r{href="/images/i1"}).length
    assert_empty(Drawing::Scene.new(set, sheet_id).items.flat_map(&:shapes).select { |shape| shape[0] == :image })
  end

  def test_a_caption_is_as_wide_as_it_is_given_and_holds_all_its_words
    words = Array.new(60) { |n| "word#{n}" }.join(" ")
    set = model("sheet A: entities\ncaption C says \"#{words}\"", tidy: true)
    sheet = set.sheet_list.first
    thing = set.named("C").first
    [90, 120, 400, 1500].each do |width|
      size = sheet.notation.sized(set, thing, set.placement(sheet.id, thing.id), width, 10)
      placed = set.placement(sheet.id, thing.id).with(**size)
      shown = sheet.notation.thing_shapes(set, thing, placed).select { |shape| shape[0] == :text }
      assert_equal words, shown.map { |shape| shape[3] }.join(" ")
      shown.each do |shape|
        assert_operator shape[1] + Drawing::Pens.width(shape[3], :member), :<=, placed.box.right, "#{width}: #{shape[3]}"
      end
      assert_operator shown.map { |shape| shape[2] }.max, :<=, placed.box.bottom
    end
  end
end
