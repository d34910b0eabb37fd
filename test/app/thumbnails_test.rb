# frozen_string_literal: true

require_relative "../support/request_helper"
require "minitest/mock"

# The small pictures of the drawing register are drawn once for what they show.
class ThumbnailsTest < Minitest::Test
  include RequestHelper

  def picture(sheet) =
    get("/projects/#{@project.id}/sheets/#{sheet.id}/thumbnail.svg").then { |answer| [answer.headers["etag"], answer.body] }

  def test_a_picture_is_drawn_again_when_what_it_shows_is_altered_and_only_then
    sheets = model_of(@project).sheet_list
    before = sheets.to_h { |sheet| [sheet.id, picture(sheet)] }
    shown = model_of(@project).named("historian").first
    send_act("statements", statements: "rename historian to archive")
    after = Drawings::Export.stub(:svg, ->(_, id) { "drawn #{id}" }) { sheets.to_h { |sheet| [sheet.id, picture(sheet)] } }
    on = model_of(@project).sheets_of(shown.id)
    assert_includes on, @sheet.id
    # What is plugged into a unit is told by its ports.
    on |= sheets.select { |sheet| sheet.notation.together? && !sheet.notation.scripted? && sheet.notation.design? }.map(&:id)
    # A place tells what is in it.
    on |= Basalt::Linking::Fact.around(model_of(@project), shown).flat_map { |place| model_of(@project).sheets_of(place.id) }
    sheets.each do |sheet|
      if on.include?(sheet.id)
        assert_equal("drawn #{sheet.id}", after[sheet.id].last)
      else
        assert_equal(before[sheet.id].first, after[sheet.id].first, sheet.name)
      end
    end
  end

  def test_every_sheet_is_the_newest_after_random_acts
    25.times do |n|
      send_act("statements", statements: ["server t-#{n}", "rename fw-01 to fw-#{n}", "take t-#{n - 2} off"].fetch(n % 3))
      send_act("undo") if (n % 5) == 4
      model_of(@project)
        .sheet_list
        .first(4)
        .each { |sheet| assert_equal Drawings::Export.svg(model_of(@project), sheet.id), picture(sheet).last, "#{n}: #{sheet.name}" }
    end
  end
end
