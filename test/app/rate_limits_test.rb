# frozen_string_literal: true

require_relative "../support/request_helper"
require "minitest/mock"

# Whoever asks for what takes long more often than anybody works is told to wait, and nobody else is.
class RateLimitsTest < Minitest::Test
  include RequestHelper

  NOWHERE = "/projects/#{SecureRandom.uuid}/project.json".freeze

  def test_files_are_made_so_often_and_no_more
    most = Web::RateLimits::MOST["files made"]
    answers = within_a_minute { Array.new(most + 2) { get(NOWHERE).then { last_response.status } } }
    assert_equal({ 404 => most, 429 => 2 }, answers.tally)
    assert_match(/more than #{most} files made within a minute. Try again in \d+ seconds?/, last_response.body)
    assert_includes 1..60, last_response.headers["retry-after"].to_i
    get @path
    assert_equal 200, last_response.status
    get NOWHERE, {}, "REMOTE_ADDR" => "127.0.0.9"
    assert_equal 404, last_response.status
  end

  def test_what_comes_too_soon_is_turned_away_beside_what_caused_it
    answers = within_a_minute { Array.new(Web::RateLimits::MOST["files taken in"] + 1) { upload.status } }
    assert_equal [422, 429], answers.tally.keys
    assert_match(/<hx-partial hx-target="#answer"/, last_response.body)
  end

  # What is counted is counted by minutes, and all of it falls into one.
  def within_a_minute(&)
    Time.stub(:now, Time.at((Time.now.to_i / 60 * 60) + 1), &)
  end

  def upload
    file = Rack::Test::UploadedFile.new(StringIO.new("no image"), "image/png", original_filename: "a.png")
    send_act("images", file:)
  end
end
