# frozen_string_literal: true

require_relative "../support/core_helper"

# Scenes, measures and SVG.
class DrawingTest < Minitest::Test
  include CoreHelper

  D = Basalt::Drawing

  TEXT = <<~TEXT
    sheet S: logical network
    internet
    router gw
    subnet N 10.0.0.0/16, vlan 4
    server a, planned
    server b
    gw to internet wan1, circuit 1G
    gw on N at .0.1, gateway
    a on N at .4.20
    b on N
    b is assumed
  TEXT

  def scene(set) = D::Scene.new(set, set.sheet_list.first.id, findings: findings(set))
  def texts(scene) = scene.items.flat_map(&:shapes).select { |shape| shape[0] == :text }.map { |shape| shape[3] }

  def test_line_ends_carry_what_the_prefix_leaves_open
    drawn = texts(scene(model(TEXT, tidy: true)))
    [".0.1", ".4.20", "?", "wan1", "1G", "10.0.0.0/16 v4"].each { |text| assert_includes drawn, text }
    refute_includes drawn, "10.0.4.20"
  end

  def test_the_legend_lists_only_what_occurs
    drawn = texts(scene(model(TEXT, tidy: true)))
    %w[subnet attached circuit planned assumed routing serving].each { |words| assert_includes drawn, words }
    %w[fibre radio storing guarding].each { |words| refute_includes drawn, words }
    assert_empty texts(scene(model("sheet S: logical network", tidy: true))) & ["Legend"]
  end

  def test_the_frame_goes_round_everything
    set = model(GeneratedNetwork.new(11).text, tidy: true)
    scene = scene(set)
    frame = D::Furniture.frame(scene)
    set
      .placements_on(scene.sheet.id)
      .select(&:x)
      .each do |placement|
        assert placement.x > frame.x && placement.x + placement.w < frame.right && placement.y + placement.h < frame.bottom
      end
  end

  def test_pieces_are_the_items_of_those_elements
    set = model(TEXT, tidy: true)
    scene = scene(set)
    ids = set.of_kind("device").map(&:id)
    pieces = scene.pieces(ids)
    assert_equal pieces.to_set, scene.items.select { |item| item.element_id.nil? || ids.include?(item.element_id) }.to_set
  end

  def test_errors_colour_what_they_are_about
    set = model("#{TEXT}server c\nc on N at .4.20", tidy: true)
    wrong = scene(set).items.flat_map(&:shapes).select { |shape| shape[0] == :text && shape[4] == :wrong }
    assert_equal(%w[.4.20 .4.20], wrong.map { |shape| shape[3] })
  end

  def test_widths_add_up_and_long_names_are_cut_to_fit
    one, other = %w[hist orian].map { |text| D::Pens.width(text, :identifier) }
    assert_in_delta one + other, D::Pens.width("historian", :identifier), 0.001
    cut = D::Pens.fit("a name that is much too long for its box", :name, 90)
    assert cut.end_with?("…")
    assert_operator D::Pens.width(cut, :name), :<=, 90
    assert_operator D::Pens.width("東京", :name), :>=, 26
  end

  def test_every_role_has_a_glyph_of_its_own
    nouns = (Basalt::Network::Kinds::ROLES + Basalt::Network::Kinds::OUTSIDES + Basalt::Network::Kinds::LEVELS)
    paths = nouns.map { |noun| D::Glyphs::PATHS.fetch(noun) }
    assert_equal paths.uniq, paths
  end

  def test_every_class_that_is_written_is_in_the_stylesheet
    svg = D::SVG.layers(scene(model(TEXT, tidy: true)).items)
    classes = svg.scan(/class="([px]-\w+)"/).flatten.uniq
    assert_operator classes.length, :>, 8
    classes.each { |name| assert_includes D::Pens.stylesheet, ".#{name}{" }
  end

  def test_ids_of_groups_are_unique
    svg = D::SVG.layers(scene(model(GeneratedNetwork.new(3).text, tidy: true)).items)
    ids = svg.scan(/ id="([^"]+)"/).flatten
    assert_equal ids.uniq, ids
  end

  def test_several_rows_of_hosts_hang_from_one_bus
    set = model(GeneratedNetwork.new(1, subnets: 1, things: 20).text, tidy: true)
    bus = set.placement(set.sheet_list.first.id, set.of_kind("subnet").first.id)
    assert_operator bus.shape["rails"].length, :>, 1
  end
end
