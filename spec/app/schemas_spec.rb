# frozen_string_literal: true

require "app_helper"

# Every address is described: what it takes and what it answers. (That answers are as described is held in every
# example of the application and of the browser: HeldAnswers.)
RSpec.describe App::AnswerSchema do
  # What is no JSON: files, drawings, pages.
  files = [
    "GET /*",
    "GET /api/*",
    "GET /fonts/:name",
    /\.svg\z/,
    %r{\AGET .*/file\z},
    "GET /api/books/:book_id/runs/:run_id/files/:file_id",
    "GET /api/enclosures/:content"
  ]

  def routes =
    App::Server::ROUTES
      .flat_map { |group| group.routes.flat_map { |verb, list| list.map { |pattern, *| "#{verb} #{pattern}" } } }
      .reject { |route| route.start_with?("HEAD") }
      .uniq

  it "says of every address what it answers, and of no other" do
    described, told = described_class.routes, routes.reject { |route| files.any? { |file| file === route } }
    expect([told - described, described - told]).to eq([[], []])
  end

  it "finds what is another than it says" do
    route = "GET /api/books/:book_id/revision"
    expect(described_class.wrong(route, {"revision" => 3})).to eq([])
    expect(described_class.wrong(route, {"revision" => "3"}).map(&:first)).to eq(["/revision"])
    expect(described_class.wrong(route, {"revision" => 3, "more" => 1}).map(&:first)).to eq(["/more"])
  end
end
