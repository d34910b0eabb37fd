# frozen_string_literal: true

require_relative "../support/request_helper"

# Whatever people choose as a file, on every address that takes one: nothing, too much, odd names, no text. What is wrong is told,
# and nothing is kept.
class UploadsTest < Minitest::Test
  include RequestHelper

  PNG = ["89504e470d0a1a0a0000000d4948445200000001000000010806000000",
         "1f15c4890000000d49444154789c6360606060000000050001a5f645400000000049454e44ae426082"].join

  def base = "/projects/#{@project.id}"
  def network = @network ||= sheet_of(@project, "Greyholm plant network")
  def table = @table ||= sheet_of(@project, "Leak response table")
  def wanted = @wanted ||= sheet_of(@project, "Supply map brief as requirements")

  # Addresses, the name of their field, and a file that is fine there.
  def takers
    {
      "#{base}/sheets/#{network.id}/images" => ["file", "plan.png", [PNG].pack("H*")],
      "#{base}/sheets/#{table.id}/activities" => ["file", "rows.csv", "who,does\nNight watch,walks round"],
      "#{base}/sheets/#{wanted.id}/requirements" => ["file", "more.md", "# More\n\n- R90 It is told at once.\n"],
      "#{base}/intakes" => ["file", "things.csv", "name;type\npc-90;PC\n"],
      "#{base}/schemas" => ["schema", "crew.sql", "CREATE TABLE crews (id bigint PRIMARY KEY);"]
    }
  end

  def send_to(address, field, name, bytes) = post(address, { token:, field => upload(name, bytes) }, "HTTP_HX_REQUEST" => "true")
  def upload(name, bytes) = Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)
  def version = Store::Project.find(@project.id).version

  def test_nothing_chosen_is_told
    takers.each do |address, (field, *)|
      before = version
      ["", nil].each do |nothing|
        post(address, { token:, field => nothing }.compact, "HTTP_HX_REQUEST" => "true")
        assert_match(/Choose an? [\w ]*(file|image) first/, last_response.body, address)
      end
      assert_equal before, version, address
    end
  end

  def test_what_is_no_file_of_its_kind_is_told_and_nothing_is_kept
    takers.each do |address, (field, name, _)|
      before = version
      ["", "\xFF\xFE\x00binary\x00".b, "\x00" * 64, "<svg", "%PDF-1.4"].each do |bytes|
        send_to(address, field, name, bytes)
        assert_includes 200..422, last_response.status, address
        refute_match(/Something went wrong/, last_response.body, "#{address}: #{bytes.inspect}")
      end
      assert_equal before, version, address
    end
  end

  # Names of files come from anybody's machine.
  def test_odd_names_are_shown_as_they_are_and_lead_nowhere
    ["../../etc/passwd.csv", "<b>x</b>.csv", "a" * 400, "\u202Eexe.csv", "no ending", "two\nlines.csv"].each do |name|
      takers.each do |address, (field, _, bytes)|
        send_to(address, field, name, bytes)
        assert_operator last_response.status, :<, 500, "#{address}: #{name}"
        refute_includes last_response.body, "<b>x</b>"
        refute_match(/Something went wrong/, last_response.body, "#{address}: #{name}")
      end
    end
  end

  def test_what_is_too_large_is_told_before_it_is_read
    limit = Basalt::Statements::Document::LIMIT
    large = "who,does\n#{"x" * limit}"
    ["#{base}/sheets/#{table.id}/activities", "#{base}/sheets/#{wanted.id}/requirements", "#{base}/intakes"].each do |address|
      before = version
      send_to(address, "file", "large.csv", large)
      assert_match(/The file is larger than 10 MB/, last_response.body, address)
      assert_equal before, version
    end
  end
end
