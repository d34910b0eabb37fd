# frozen_string_literal: true

require_relative "../support/request_helper"

# Groups that overlap: made of what is selected, drawn around it, told, left again.
class GroupsTest < Minitest::Test
  include RequestHelper

  def base = "/projects/#{@project.id}"
  def set = model_of(@project)
  def act(sheet, rest, values = {}) = post("#{base}/sheets/#{sheet.id}/#{rest}", values.merge(token:), "HTTP_HX_REQUEST" => "true")
  def devices(sheet) = set.things_on(sheet.id).select { |thing| thing.kind == "device" }
  def membership = Basalt::Annotation::Membership

  def test_what_is_selected_becomes_a_group_and_leaves_it
    sheet = sheet_of(@project, "Greyholm plant network")
    some = devices(sheet).first(3)
    act(sheet, "grouped", chosen: some.map(&:id).join(" "), group: "Night shift")
    group = set.named("Night shift").first
    assert_equal some.map(&:id), membership.members(set, group.id)
    assert_includes last_response.body, "k-group"
    act(sheet, "grouped", chosen: some.first.id, group: "Spare parts", selected: some.first.id)
    assert_equal(["Night shift", "Spare parts"], membership.groups(set, some.first.id).map(&:name))
    assert_match(/belongs to.*Night shift.*belongs to.*Spare parts/m, last_response.body)
    assert_includes get("#{base}/sheets/#{sheet.id}").body, "Memberships"
    act(sheet, "grouped", chosen: some.first.id, group: "Night shift", no: "yes")
    assert_equal some.drop(1).map(&:id), membership.members(set, group.id)
    act(sheet, "grouped", chosen: some.first.id, group: " ")
    assert_match "Name the group they belong to", last_response.body
    act(sheet, "grouped", chosen: "", group: "Nobody")
    assert_match "Select something first", last_response.body
  end

  # Where a member goes the outline goes, and what was put between others divides it.
  def test_an_outline_follows_what_it_is_around
    sheet = sheet_of(@project, "Greyholm plant network")
    some = devices(sheet).first(2)
    act(sheet, "grouped", chosen: some.map(&:id).join(" "), group: "Night shift")
    group = set.named("Night shift").first
    before = outlines(sheet, group)
    act(sheet, "moves", moves: JSON.generate([[some.first.id, 4000, 4000]]))
    assert_includes last_response.body, "data-element=\"#{group.id}\""
    refute_equal before, outlines(sheet, group)
    act(sheet, "undo")
    assert_equal before, outlines(sheet, group)
  end

  def outlines(sheet, group) = group.description.figure.outlines(set, sheet.id, group).map { |box| [box.x, box.y, box.w, box.h] }
end
