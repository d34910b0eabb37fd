# frozen_string_literal: true

require_relative "../support/request_helper"

# Floor plans and site maps through the pages.
class FloorPagesTest < Minitest::Test
  include RequestHelper

  def set = model_of(@project)
  def id(name) = set.named(name).first.id

  def stand_on(name)
    @sheet = sheet_of(@project, name)
    @path = "/projects/#{@project.id}/sheets/#{@sheet.id}"
  end

  PLAN = '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="700"><path d="M60 60H760V560H60Z"/></svg>'
  def uploaded(content, type, name) = Rack::Test::UploadedFile.new(StringIO.new(content), type, original_filename: name)

  def test_an_image_lies_beneath_and_two_points_set_its_scale
    stand_on("Comms Room floor")
    send_act("images", file: uploaded(PLAN, "image/svg+xml", "building.svg"))
    picture = set.of_kind("picture").first
    page = Nokogiri::HTML5(get(@path).body)
    assert page.at_css("#layer-boundaries g[data-element='#{picture.id}'] image"), "it lies beneath what stands there"
    scale = ->(**values) { send_act("pictures/#{picture.id}/scale", values) }
    before = set.placement(@sheet.id, picture.id)
    scale.call(x1: before.x, y1: before.y, x2: before.x + before.w, y2: before.y, metres: "13,5")
    box = set.placement(@sheet.id, picture.id)
    assert_equal [before.x, before.y, 810, 630], [box.x, box.y, box.w, box.h]
    [{ metres: "0" }, { metres: "much" }, { x2: 0, metres: 4 }, { metres: "-3" }].each do |wrong|
      scale.call(x1: 0, y1: 0, x2: 210, y2: 0, **wrong)
      assert_equal 422, last_response.status, wrong
    end
    send_act("images", file: uploaded("no image at all", "image/png", "plan.png"))
    assert_equal 422, last_response.status
  end

  def test_cables_are_estimated_and_things_stand_where_they_are_dropped
    stand_on("Comms Room floor")
    send_act("cable-lengths")
    cable = set.of_kind("link").find { |link| link.targets.include?(id("ap-01")) }
    # 5.8 m along the floor and the trays, 1.7 and 0.8 m up to them, and a tenth more.
    assert_equal 10, cable["estimate"]
    send_act("cable-lengths")
    assert_equal 422, last_response.status
    assert_match "no cable to estimate anew", last_response.body
    send_act("moves", moves: JSON.generate([[id("G3"), 60, 30]]), dropped: "yes")
    assert_equal "3.4/2.1", set.named("G3").first["position"]
    send_act("placed", noun: "rack", name: "G4", x: 300, y: 200)
    placed = set.named("G4").first
    assert_equal ["4.7/2.8", id("Comms Room")], [placed["position"], placed.container_id]
    send_act("facts/#{id("G4")}", fact: "position", value: "here")
    assert_match "told in metres, such as 3.2/4", last_response.body
    send_act("facts/#{id("G4")}", fact: "container", value: "G1")
    assert_match "cannot be in G1, a rack", last_response.body
  end

  def test_what_joins_sites_is_one_line_with_its_sum_and_pictures_come_and_go
    stand_on("All places")
    labels = -> { Nokogiri::HTML5(get(@path).body).css("#layer-labels text").map(&:text) }
    assert_includes labels.call, "200M"
    post "/projects/#{@project.id}/sheets/#{sheet_of(@project, "Wide-area network").id}/statements",
         { token:, statements: "router edge-09 in Comms Room\npe-01 to edge-09, circuit 50M" }, "HTTP_HX_REQUEST" => "true"
    assert_includes labels.call, "2 circuits, 250M"
    assert_operator Nokogiri::HTML5(get(@path).body).css("#layer-things image").length, :>, 1
    send_act("view", part: "pictures", on: "no")
    assert_empty Nokogiri::HTML5(get(@path).body).css("#layer-things image")
    assert_match "circuit 200M", get("#{@path}/reading").body
    send_act("view", part: "pictures", on: "yes")
    assert_match "data:image/svg+xml;base64", get("#{@path}/export.svg").body
  end
end
