# frozen_string_literal: true

require_relative "../support/request_helper"

# The list of projects and the drawing register: what is done with the whole of one.
class ListsTest < Minitest::Test
  include RequestHelper

  def act(path, values = {}) = post(path, values.merge(token:))
  def project_path(rest) = "/projects/#{@project.id}/#{rest}"
  def names = model_of(@project).sheet_list.map(&:name)

  def test_the_list_tells_of_each_project
    get project_path("").chomp("/")
    get "/projects"
    row = Nokogiri.HTML(last_response.body).at_css("table.projects tbody tr").text.squeeze(" \n")
    assert_match(/Tarnwater.*#{names.length} sheets.*\d+.*test, just now/m, row)
  end

  def test_a_project_is_renamed_duplicated_put_away_brought_back_and_removed_for_good
    act project_path("renamed"), name: "Tarnwater North"
    assert_equal "Tarnwater North", Store::Project.find(@project.id).name
    get project_path("").chomp("/")
    assert_match "<h1>Tarnwater North</h1>", last_response.body
    act project_path("renamed"), name: "Tarnwater"
    act project_path("copied")
    copy = Store::Project.order(:created_at).last
    assert_equal ["Tarnwater (copy)", names], [copy.name, model_of(copy).sheet_list.map(&:name)]
    act "/projects/#{copy.id}/put-away"
    get "/"
    assert_equal 302, last_response.status
    act "/projects/#{copy.id}/brought-back"
    get "/"
    assert_match "Tarnwater (copy)", last_response.body
    act "/projects/#{copy.id}/removed-for-good", name: "Tarnwater"
    assert_equal 422, last_response.status
    act "/projects/#{copy.id}/removed-for-good", name: "Tarnwater (copy)"
    assert_equal [@project.id], Store::Project.pluck(:id)
    assert_equal(
      0,
      %w[elements sheets placements journal].sum do |table|
        ActiveRecord::Base.connection.select_value("SELECT count(*) FROM #{table} WHERE project_id = '#{copy.id}'")
      end
    )
  end

  def test_sheets_are_renamed_moved_put_in_order_duplicated_and_removed_and_all_of_it_is_undone
    before = rows(model_of(@project))
    act "#{@path}/renamed", name: "Plant"
    act "#{@path}/level", band: "Physical"
    act "#{@path}/placed-in-order", by: "-1"
    assert_equal(%w[Plant Physical], model_of(@project).sheets[@sheet.id].then { |sheet| [sheet.name, sheet.band] })
    assert_equal names.index("Plant") + 1, names.index("Alder House office")
    act "#{@path}/copied"
    copy = sheet_of(@project, "Plant 2")
    assert_equal(
      *[@sheet.id, copy.id].map do |id|
        model_of(@project).placements_on(id).map { |one| [one.element_id, one.x, one.y, one.route] }.sort_by(&:to_s)
      end
    )
    get "#{@path}/removal"
    assert_match "Everything on it stands on other sheets too", last_response.body
    act "/projects/#{@project.id}/sheets/#{copy.id}/taken-away"
    get "#{@path}/removal"
    assert_match(/stand on this sheet alone/, last_response.body)
    act "#{@path}/taken-away", elements: "yes"
    assert_empty model_of(@project).named("Laboratory")
    assert_equal 1, model_of(@project).named("historian").length
    refute_includes names, "Plant"
    6.times { act project_path("undo") }
    assert_equal before, rows(model_of(@project))
  end
end
