# frozen_string_literal: true

require_relative "../support/request_helper"
require "zip"

# Software structure through the pages: code on its way in, taken in steps when it changed, and out as XMI, skeletons and schemas;
# faces, questions and descriptions.
class SoftwarePagesTest < Minitest::Test
  include RequestHelper

  CODE = { "a.rb" => "module Desk\n class Alarm < Base\n  attr_reader :level\n  def page(who) = nil\n end\n class Base; end\nend",
           "../odd.rb" => "class Odd; end", "bad.rb" => "class Bad def" }.freeze

  def setup
    super
    @project = project("project P\nsheet C: context\nsystem Desk\nCaller gives report to Desk\nsheet E: entities\nentity Crew\n" \
                       "Crew has code key\nsheet U: use cases, about Desk\nsystem Desk\nactor Clerk\nuse case Enter crew in Desk")
    turn("U")
  end

  def turn(name) = @path = "/projects/#{@project.id}/sheets/#{sheet_of(@project, name).id}"
  def set = model_of(@project)
  def id(name, kind) = set.named(name).find { |one| one.kind == kind }.id
  def words = Nokogiri::HTML5(last_response.body).text.gsub(/\s+/, " ")

  def zip(files)
    Zip::OutputStream.write_buffer { |out| files.each { |name, text| out.put_next_entry(name).then { out.write(text) } } }.string
  end

  def bring(name, content)
    Tempfile.create(["file", File.extname(name)]) do |file|
      file.binmode
      file.write(content)
      file.flush
      upload = Rack::Test::UploadedFile.new(file.path, "application/octet-stream", original_filename: name)
      post "/projects/#{@project.id}/code", { token:, file: upload }
    end
    last_response.redirect? ? last_response["Location"][%r{/projects/.*}] : nil
  end

  def test_what_is_placed_in_a_boundary_belongs_there
    box = set.placement(sheet_of(@project, "U").id, id("Desk", "system")).box
    { "Print it" => [box.cx, box.cy, "Desk"], "Sell it" => [box.right + 300, box.bottom + 300, nil] }.each do |name, (x, y, within)|
      post "#{@path}/placed", { token:, noun: "use case", name:, x:, y:, id: SecureRandom.uuid }, "HTTP_HX_REQUEST" => "true"
      assert_predicate last_response, :ok?, last_response.body
      container = set.named(name).first.container_id
      within ? assert_equal(id("Desk", "system"), container) : assert_nil(container)
    end
  end

  def test_a_zip_of_source_is_looked_at_taken_and_shown
    page = bring("desk.zip", zip(CODE))
    get page
    assert_includes words, "3 classes and modules found"
    assert_includes words, "../odd.rb has an odd path"
    assert_match(/bad\.rb line 1/, words)
    post "#{page}/take", { token:, all: "yes" }
    get page
    assert_includes words, "came in"
    assert_equal %w[Alarm Base], set.of_kind("class").map(&:name).sort
    post "/projects/#{@project.id}/class-sheets", { token:, of: "Alarm", depth: "1" }
    assert last_response.redirect?
    assert_equal %w[Alarm Base], set.things_on(set.sheet_list.last.id).map(&:name).sort
    post "/projects/#{@project.id}/class-sheets", { token:, of: "Nowhere" }
    assert_equal 422, last_response.status
  end

  def test_code_that_changed_is_taken_step_by_step
    first = bring("desk.zip", zip(CODE))
    post "#{first}/take", { token:, all: "yes" }
    code = CODE["a.rb"].sub("page(who)", "page(who, why)").sub("class Base; end", "class Base; end\n class Fresh; end")
    changed = CODE.merge("a.rb" => code)
    page = bring("desk.zip", zip(changed))
    get page
    steps = Nokogiri::HTML5(last_response.body).css("input[name='steps[]']").map { |input| input["value"] }
    assert_equal 2, steps.length, words
    post "#{page}/take", { token:, "steps[]" => steps.find { |key| key.include?("Fresh") } }
    assert_equal "who", set.of_kind("operation").first["parameters"]
    assert_includes set.of_kind("class").map(&:name), "Fresh"
    post "#{bring("desk.zip", zip(changed))}/take", { token: }
    assert_equal 422, last_response.status, "nothing is ticked"
  end

  def test_what_cannot_be_read_is_refused_and_nothing_kept
    entities = "<!DOCTYPE a [<!ENTITY b \"c\">]><a>&b;</a>"
    { "x.zip" => "no zip", "x.exe" => "?", "x.json" => "[]", "x.xmi" => entities, "x.rb" => "class X def" }.each do |name, content|
      assert_nil bring(name, content), name
      assert_equal 422, last_response.status, name
    end
    assert_empty Store::Intake.where(project_id: @project.id)
  end

  def test_a_structure_goes_out_as_xmi_and_comes_back
    bring("desk.zip", zip(CODE)).then { |page| post "#{page}/take", { token:, all: "yes" } }
    get "/projects/#{@project.id}/model.xmi"
    document = last_response.body
    assert_includes document, "uml:UseCase"
    other = project("project Q\nsheet S: classes")
    @project = other
    @token = nil
    turn("S")
    page = bring("p.xmi", document)
    post "#{page}/take", { token:, all: "yes" }
    assert_equal [%w[Alarm Base], ["Enter crew"], ["Desk"]],
                 [set.of_kind("class").map(&:name).sort, set.of_kind("use case").map(&:name), set.of_kind("system").map(&:name)]
  end

  def test_classes_come_from_entities_and_go_out_as_code
    turn("E")
    get "#{@path}/classes"
    assert_includes words, "class Crew"
    post "#{@path}/classes", { token:, all: "yes" }
    sheet = set.sheet_list.last
    assert_equal ["classes", ["Crew"]], [sheet.notation_name, set.things_on(sheet.id).map(&:name)]
    get "#{@path}/classes"
    assert_includes words, "Nothing differs"
    get "/projects/#{@project.id}/sheets/#{sheet.id}/skeleton.zip"
    names = Zip::File.open_buffer(StringIO.new(last_response.body)).map(&:name)
    assert_equal %w[lib/crew.rb sig/crew.rbs], names.sort
    get "/projects/#{@project.id}/sheets/#{sheet.id}/schema.json"
    assert_equal ["Crew"], JSON.parse(last_response.body)["$defs"].keys
    get "#{@path}/skeleton.zip"
    assert_equal 422, last_response.status
  end

  def test_matrices_are_faces_that_are_filled_in
    get "#{@path}/faces/taking-part"
    assert_includes words, "Enter crew"
    send_act("taking-part/#{id("Clerk", "actor")}/#{id("Enter crew", "use case")}", state: "starts", face: "taking-part")
    assert_includes last_response.body, "▶"
    send_act("taking-part/#{id("Clerk", "actor")}/#{id("Enter crew", "use case")}", state: "odd")
    assert_equal 422, last_response.status
    send_act("access/#{id("Enter crew", "use case")}/#{id("Crew", "entity")}", letters: "cr", face: "access")
    assert_includes last_response.body, "CR"
    send_act("access/#{id("Enter crew", "use case")}/#{id("Crew", "entity")}", letters: "x")
    assert_equal 422, last_response.status
    get "#{@path}/access.csv"
    assert_equal "actor,Crew\r\nClerk,CR\r\n", last_response.body
    get "#{@path}/faces/nothing"
    assert_equal 404, last_response.status
    get "/projects/#{@project.id}/sheets/#{sheet_of(@project, "E").id}/faces/access"
    assert_equal 404, last_response.status, "a sheet of entities has no such face"
  end

  def test_questions_are_answered_or_closed_with_a_reason
    crew = id("Crew", "entity")
    send_act("answers", verb: "creates", source: crew, text: "Enter crew", selected: "", chosen: "")
    assert_equal 1, set.of_kind("thread").length
    send_act("answers", verb: "deletes", source: crew, text: " ", nobody: "yes")
    assert_equal 422, last_response.status
    send_act("answers", verb: "deletes", source: crew, text: "they stay", nobody: "yes", selected: "", chosen: "")
    assert_equal "they stay", set.of_kind("nobody").first["reason"]
    send_act("answers", verb: "eats", source: crew, text: "x")
    assert_equal 422, last_response.status
  end

  def test_steps_are_described_and_undone_in_one
    use_case = id("Enter crew", "use case")
    send_act("description/#{use_case}", text: "Clerk: opens\nDesk: saves\n2a when it is there -> 1", selected: use_case)
    assert_includes last_response.body, "1 Clerk: opens"
    send_act("description/#{use_case}", text: "9z1 a: b")
    assert_equal 422, last_response.status
    send_act("description/#{id("Clerk", "actor")}", text: "a")
    assert_equal 422, last_response.status
    send_act("undo")
    assert_empty set.of_kind("step", "branch")
  end
end
