# frozen_string_literal: true

require_relative "../support/request_helper"

# Racks through the pages: drawn from their place, looked over for room, and moved in.
class RackPagesTest < Minitest::Test
  include RequestHelper

  def set = model_of(@project)
  def place(name) = set.named(name).find { |one| one.kind == "place" }
  def base(name) = "/projects/#{@project.id}/racks/#{place(name).id}"
  def drawn(name) = post("#{base(name)}/drawn", { token: })

  def test_racks_are_drawn_once_and_what_is_in_them_with_them
    drawn("Laboratory Room")
    assert_equal 422, last_response.status
    assert_match "There is no rack in Laboratory Room yet", last_response.body
    send_act("statements", statements: "rack R1 in Laboratory Room, 24U\nfirewall fw-01 in R1 at U3\nrack R2 in Laboratory Room, 12U")
    drawn("Laboratory Room")
    path = last_response["Location"]
    drawn("Laboratory Room")
    assert_equal path, last_response["Location"]
    page = Nokogiri::HTML5(get(URI(path).path).body)
    assert_equal %w[R1 R2 fw-01], page.css("#layer-things > g").map { |group| group["data-name"] }.sort
    @path = URI(path).path
    fw = set.named("fw-01").first
    send_act("moves", moves: JSON.generate([[fw.id, 0, -40]]), dropped: "yes")
    assert_equal 5, set.element(fw.id)["at unit"]
    send_act("moves", moves: JSON.generate([[fw.id, 4000, 0]]), dropped: "yes")
    assert_nil set.element(fw.id).container_id
  end

  def test_room_is_told_by_rack_or_refused
    send_act("statements", statements: "rack R1 in Laboratory Room, 24U\nfirewall fw-01 in R1 at U3\nrack R2 in Laboratory Room, 12U")
    told = Nokogiri::HTML5(get("#{base("Laboratory Room")}/room", units: 8).body).css("li").map { |item| item.text.split.join(" ") }
    assert_equal ["R2 U1 in a gap of 12", "R1 U4 in a gap of 21"], told
    assert_match "No rack has 30 units free together", get("#{base("Laboratory Room")}/room", units: 30).body
    ["", "0", "many", "61"].each { |units| assert_equal 422, get("#{base("Laboratory Room")}/room", units:).status, units }
    assert_equal 404, get("/projects/#{@project.id}/racks/#{set.named("fw-01").first.id}/room", units: 3).status
  end
end
